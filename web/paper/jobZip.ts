import { type ZipOptions, zipSync } from 'fflate';
import { writeJobFile } from '../../core/model/file.ts';
import type { Hunt } from '../../core/model/hunt.ts';
import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import type { Paper } from '../../core/paper/label.ts';
import { recordIndexHtml } from '../../core/paper/recordIndex.ts';
import { tagFileName, type TestRecord, writeTestRecord } from '../../core/paper/testRecord.ts';
import type { PaperFonts } from './listPdf.ts';
import { recordPdf, type RecordPictures } from './recordPdf.ts';

/** One cable for the zip: its record, its drawing as SVG, and its pictures. */
export interface ZippedCable {
  readonly record: TestRecord;
  readonly svg: string;
  readonly pictures: RecordPictures;
}

/** Names that differ for every cable, whatever their tags are. */
export function fileNames(tags: readonly string[]): string[] {
  const taken = new Map<string, number>();
  return tags.map((tag) => {
    const plain = tagFileName(tag);
    const key = plain.toLowerCase();
    const count = (taken.get(key) ?? 0) + 1;
    taken.set(key, count);
    return count === 1 ? plain : `${plain}~${count}`;
  });
}

/**
 * A job with all its test records as one zip: an index to open first, a PDF, a JSON and a drawing for each cable, the
 * photographs, and the job file that this application reads again.
 *
 * @param savedAt ISO 8601
 * @param also what else goes in: hunts into the job file, files of their own, and who is told how many cables are done
 */
export async function jobZip(
  job: Job,
  shop: Shop,
  cables: readonly ZippedCable[],
  paper: Paper,
  fonts: PaperFonts,
  savedAt: string,
  photos: Record<string, string>,
  {
    hunts = [],
    files: further = {},
    told = () => {},
  }: {
    readonly hunts?: readonly Hunt[];
    /** Further files by their names, named in the index. */
    readonly files?: Readonly<Record<string, Uint8Array>>;
    readonly told?: (done: number) => void;
  } = {},
): Promise<Uint8Array> {
  const encoder = new TextEncoder();
  const names = fileNames(cables.map(({ record }) => record.tag));
  const files: Record<string, Uint8Array> = { ...further };
  for (const [i, { record, svg, pictures }] of cables.entries()) {
    const name = names[i] ?? 'cable';
    files[`records/${name}.pdf`] = await recordPdf(record, paper, fonts, pictures);
    files[`records/${name}.json`] = encoder.encode(writeTestRecord(record));
    files[`drawings/${name}.svg`] = encoder.encode(svg);
    pictures.photos.forEach((jpeg, n) => {
      files[`photographs/${name}-${n + 1}.jpg`] = jpeg;
    });
    told(i + 1);
  }
  files['job.json'] = encoder.encode(writeJobFile(job, shop, savedAt, photos, [...hunts]));
  files['index.html'] = encoder.encode(
    recordIndexHtml(
      job.title,
      savedAt.slice(0, 10),
      cables.map(({ record, pictures }, i) => ({
        record,
        file: names[i] ?? 'cable',
        photos: pictures.photos.length,
      })),
      Object.keys(further),
    ),
  );
  // What is packed already is stored as it is: so the rest is soon done, and needs no worker made out of text.
  return zipSync(
    Object.fromEntries(
      Object.entries(files).map(([name, bytes]): [string, [Uint8Array, ZipOptions]] => [
        name,
        [bytes, { level: /\.(pdf|jpg)$/.test(name) ? 0 : 6 }],
      ]),
    ),
  );
}
