import type { Finding } from '../finding.ts';
import { crimpFindings } from './crimpFindings.ts';
import { lugFindings, noLug } from './lugFindings.ts';
import type { EndConductor, ResolvedEnd } from './resolveEnd.ts';
import { sleeveFindings, stripFinding } from './sleeveFindings.ts';

/** Everything one end is held against, with its work. */
export function endFindings(end: ResolvedEnd, conductor: EndConductor): Finding[] {
  const { lug } = end;
  if (!lug) return [noLug(end, conductor)];
  return [
    ...lugFindings(end, lug, conductor),
    ...crimpFindings(end, lug),
    ...sleeveFindings(end, conductor),
    stripFinding(end, lug),
  ];
}
