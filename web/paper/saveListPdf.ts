import type { ListDoc } from '../../core/paper/listDoc.ts';
import { saveFile } from '../storage/files.ts';
import type { Prefs } from '../storage/prefs.ts';

/** Hands a list to the browser as a PDF. What makes one is large and only fetched when one is asked for. */
export async function saveListPdf(name: string, doc: ListDoc, paper: Prefs['paper']): Promise<void> {
  const [{ listPdf }, { paperFonts }] = await Promise.all([import('./listPdf.ts'), import('./fonts.ts')]);
  saveFile(`${name}.pdf`, await listPdf(doc, paper, await paperFonts()), 'application/pdf');
}
