import { STATE_SAYS } from './stateSays.ts';
import type { TestRecord } from './testRecord.ts';
import { say } from '../words/say.ts';
import { spoken } from '../words/language.ts';

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
/** Text as it stands in a page, whatever is in it. */
export const escapeHtml = (text: string): string => text.replace(/[&<>"']/g, (sign) => ESCAPES[sign] ?? sign);

/** One cable of an index: its record, and what its files are called. */
export interface Indexed {
  readonly record: TestRecord;
  readonly file: string;
  readonly photos: number;
}

/** The index of a zip of test records, as a page without script that any browser opens. */
export function recordIndexHtml(
  title: string,
  day: string,
  cables: readonly Indexed[],
  also: readonly string[] = [],
): string {
  const further = also
    .map((name) => ` <a href="${encodeURIComponent(name)}">${escapeHtml(name)}</a>`)
    .join('');
  const rows = cables.map(({ record, file, photos }) => {
    const name = encodeURIComponent(file);
    const pictures = Array.from(
      { length: photos },
      (_, i) => ` <a href="photographs/${name}-${i + 1}.jpg">${i + 1}</a>`,
    ).join('');
    return `<tr><th>${escapeHtml(record.tag)}</th><td>${escapeHtml(say`${record.from} to ${record.to}`)}</td><td>${escapeHtml(STATE_SAYS[record.state])}${record.simulated ? say`, SIMULATED READINGS` : ''}</td><td>${escapeHtml(record.verdict)}</td><td><a href="records/${name}.pdf">${escapeHtml(say`record`)}</a> <a href="records/${name}.json">${escapeHtml(say`data`)}</a> <a href="drawings/${name}.svg">${escapeHtml(say`drawing`)}</a>${pictures}</td></tr>`;
  });
  const headings = [say`Cable`, say`Route`, say`Verdict`, say`Why`, say`Files`]
    .map((words) => `<th>${escapeHtml(words)}</th>`)
    .join('');
  const intro = say`Test record of ${cables.length} cable, written ${day}. The job itself:¦Test records of ${cables.length} cables, written ${day}. The job itself:`;
  return `<!doctype html>
<html lang="${spoken()}"><meta charset="utf-8"><title>${escapeHtml(title)}</title>
<style>body{font:15px sans-serif;margin:2em}table{border-collapse:collapse}th,td{border-bottom:1px solid #999;padding:6px 10px;text-align:left;vertical-align:top}</style>
<h1>${escapeHtml(title)}</h1>
<p>${escapeHtml(intro)} <a href="job.json">job.json</a>${further}</p>
<table><tr>${headings}</tr>
${rows.join('\n')}
</table>
<p>${escapeHtml(say`Figures for planning. Local codes, class and survey rules, makers’ instructions and licensed persons come first.`)}</p>
</html>
`;
}
