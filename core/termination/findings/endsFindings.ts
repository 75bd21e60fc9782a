import type { Finding } from '../../finding/finding.ts';
import type { EndName } from '../../model/end.ts';
import { clockingFindings } from './clockingFinding.ts';
import { crimpFindings } from './crimpFindings.ts';
import type { EndSubject } from '../endSubject.ts';
import { holeFindings } from './holeFindings.ts';
import { layerFindings } from './layerFindings.ts';
import { sleevesFor } from '../sleeves/layers.ts';
import { lugFindings, noLug } from './lugFindings.ts';
import { usesDie } from '../../model/method.ts';
import { methodFindings } from './methodFindings.ts';
import { postFindings } from './postFindings.ts';
import { sleeveFindings, stripFinding } from './sleeveFindings.ts';
import { sleeveUse } from './sleeveUse.ts';
import { stackFindings } from './stackFindings.ts';
import { strandsFindings } from './strandsFinding.ts';

/** Everything one end is compared with, with its work. */
export function endFindings(name: EndName, subject: EndSubject): Finding[] {
  const { cable, ends, conductor, shop, stacks } = subject;
  const end = ends[name];
  const { lug } = end;
  if (!lug) return [noLug(end), ...postFindings(end, subject), ...strandsFindings(end, subject)];
  return [
    ...lugFindings(end, lug, conductor, cable.run),
    ...(usesDie(end.method) ? crimpFindings(end, lug) : []),
    ...methodFindings(end, lug, subject),
    ...strandsFindings(end, subject),
    ...stackFindings(end, lug, stacks[name]),
    ...postFindings(end, subject),
    ...(end.method === 'screwed'
      ? []
      : [
          ...sleeveFindings(end, conductor, sleevesFor(shop.sleeves, cable.polarity)),
          ...sleeveUse(end, subject),
          stripFinding(end, lug),
        ]),
    ...layerFindings(end, subject),
    ...holeFindings(end, subject),
  ];
}

/** Both ends, and what concerns them together. */
export function endsFindings(subject: EndSubject): Finding[] {
  return [...endFindings('A', subject), ...endFindings('B', subject), ...clockingFindings(subject)];
}
