import { unzlibSync } from 'fflate';

const SIGNATURE = 0x774f4646;
const HEADER = 44;
const ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;
const aligned = (bytes: number) => Math.ceil(bytes / 4) * 4;

/**
 * A font out of its WOFF wrapper, as it was before each of its tables was compressed. What embeds fonts in a PDF
 * reads WOFF too, but unpacks a table again for every letter that it looks up in it.
 *
 * Source: WOFF File Format 1.0, §3 to §5; OpenType, “Organization of an OpenType Font”.
 *
 * @throws RangeError where it is no WOFF
 */
export function unwrapped(woff: Uint8Array): Uint8Array {
  const from = new DataView(woff.buffer, woff.byteOffset, woff.byteLength);
  if (woff.byteLength < HEADER || from.getUint32(0) !== SIGNATURE) throw new RangeError('this is no WOFF');
  const count = from.getUint16(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const [tag, offset, packed, length, checksum] = [0, 4, 8, 12, 16].map((at) =>
      from.getUint32(HEADER + i * ENTRY + at),
    ) as [number, number, number, number, number];
    const bytes = woff.subarray(offset, offset + packed);
    // A table that would not have become smaller lies there as it was.
    return { tag, checksum, length, bytes: packed < length ? unzlibSync(bytes) : bytes };
  });
  const first = SFNT_HEADER + count * SFNT_ENTRY;
  const sfnt = new Uint8Array(tables.reduce((end, { length }) => end + aligned(length), first));
  const to = new DataView(sfnt.buffer);
  const entries = Math.floor(Math.log2(count));
  const searched = SFNT_ENTRY * 2 ** entries;
  to.setUint32(0, from.getUint32(4));
  to.setUint16(4, count);
  to.setUint16(6, searched);
  to.setUint16(8, entries);
  to.setUint16(10, SFNT_ENTRY * count - searched);
  let place = first;
  for (const [i, { tag, checksum, length, bytes }] of tables.entries()) {
    [tag, checksum, place, length].forEach((own, k) =>
      to.setUint32(SFNT_HEADER + i * SFNT_ENTRY + 4 * k, own),
    );
    sfnt.set(bytes, place);
    place += aligned(length);
  }
  return sfnt;
}
