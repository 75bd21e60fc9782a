import { type Topic, TOPICS } from '../../../core/finding/topics.ts';
import { type Finding, type State, worst } from '../../../core/finding/finding.ts';
import { say } from '../../../core/words/say.ts';

/** The parts that the Ends stage is worked in, one at a time. */
export const END_PARTS = ['lug', 'stud', 'method', 'layers', 'way'] as const;
export type EndPart = (typeof END_PARTS)[number];

export const PART_TITLES: Readonly<Record<EndPart, string>> = {
  lug: say`Lug and die`,
  stud: say`Stud or post`,
  method: say`Crimp or solder, strands`,
  layers: say`Sleeve, layers`,
  way: say`Route, joins`,
};

/** The part a finding of the stage belongs to. */
export const partOf = ({ topic }: Finding): EndPart =>
  END_PARTS.find((part) => (TOPICS[part] as readonly Topic[]).includes(topic)) ?? 'lug';

/** The worst state of each part. */
export function partStates(findings: readonly Finding[]): Readonly<Record<EndPart, State>> {
  const ofEnds = findings.filter(({ stage }) => stage === 'ends');
  return Object.fromEntries(
    END_PARTS.map((part) => [
      part,
      worst(ofEnds.filter((finding) => partOf(finding) === part).map(({ state }) => state)),
    ]),
  ) as Record<EndPart, State>;
}
