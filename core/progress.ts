import { sizeNamed } from './model/tables/size.ts';
import { type Finding, isOnlyClose, worst } from './finding/finding.ts';
import { isAbout, type Topic } from './finding/topics.ts';
import { type Cable, type Stage, STAGES } from './model/cable.ts';
import { heaviestStepA } from './sizing/loadIn.ts';
import { amount, msg, verbatim, listed, head, type Message, bare } from './words/message.ts';
import { meetsWord } from './model/posts.ts';
import type { CableWork, StageReport } from './cableWork.ts';

type Work = Omit<CableWork, 'stages'>;

/** How far each stage of a cable is: what the track and the rack show. */
export function stageReports(cable: Cable, work: Work): CableWork['stages'] {
  const report = (stage: Stage): StageReport => {
    const own = work.findings.filter((finding) => finding.stage === stage);
    const state = worst(own.map((finding) => finding.state));
    const { done, summary } = PROGRESS[stage](cable, work, own);
    return { stage, state, close: isOnlyClose(own, state), done: done && state !== 'fails', summary };
  };
  return Object.fromEntries(STAGES.map((stage) => [stage, report(stage)])) as CableWork['stages'];
}

type Progress = (
  cable: Cable,
  work: Work,
  own: readonly Finding[],
) => { readonly done: boolean; readonly summary: Message };

const failing = (findings: readonly Finding[]) => findings.filter(({ state }) => state === 'fails');
/** What a table or a balance is called where its finding is close or fails. */
const SCHOOLS: Partial<Readonly<Record<Topic, Message>>> = {
  'amps-inch': msg`inch table`,
  'amps-metric': msg`metric table`,
  'amps-heat': msg`heat balance`,
};
const short = ({ topic, title }: Finding): Message => SCHOOLS[topic] ?? head(title);

const PROGRESS: Readonly<Record<Stage, Progress>> = {
  run({ run }, { choice }) {
    const amps = choice.taken.at.currentA;
    const load =
      amps === null
        ? msg`cannot deliver`
        : amps === 0 && run.duty
          ? msg`${amount(heaviestStepA(run.duty), 'A', 0)} surge`
          : amount(amps, 'A', 0);
    return {
      done: amps !== null && (amps > 0 || run.duty !== undefined),
      summary: verbatim`${load}, ${amount(run.lengthMm / 1000, 'm', 2)}`,
    };
  },

  gauge({ gauge }, { choice, kind }, gaugeFindings) {
    const label = sizeNamed(choice.taken.at.size);
    const [failed] = failing(gaugeFindings);
    if (failed) return { done: false, summary: msg`${short(failed)} fails` };
    const binding = gaugeFindings.find(({ close }) => close);
    const detail = binding
      ? msg`${short(binding)} close to its limit`
      : kind.tinned
        ? msg`tinned`
        : msg`plain`;
    return {
      done: gauge.size !== undefined,
      summary: choice.isProposed ? msg`${label} proposed` : verbatim`${label}, ${detail}`,
    };
  },

  ends(_, { ends }, own) {
    const both = [ends.A, ends.B];
    const isSaid = both.every(({ proposed }) => !proposed.lug && !proposed.die && !proposed.sleeve);
    const fails = failing(own).length;
    if (fails > 0) return { done: false, summary: msg`${fails} fails¦${fails} fail` };
    return {
      done: isSaid,
      summary: isSaid
        ? listed(
            both.map(({ meets }) => meetsWord(meets)),
            ', ',
          )
        : msg`proposed`,
    };
  },

  cut({ done }, { lengths }) {
    return {
      done: done.some(({ step }) => step === 'cut'),
      summary: lengths ? amount(lengths.cutMm, 'mm', 0) : msg`needs both lugs`,
    };
  },

  make({ done }, { steps }) {
    const count = steps.filter(({ id }) => done.some(({ step }) => step === id)).length;
    return {
      done: steps.length > 0 && count === steps.length,
      summary: steps.length > 0 ? msg`${count} of ${steps.length} steps` : msg`needs both ends`,
    };
  },

  prove(_, { verdict }, ownFindings) {
    const missing = ownFindings.filter(({ state, waived }) => state === 'unproved' && !waived).length;
    const fails = failing(ownFindings).length;
    const done = missing === 0 && (verdict.state === 'holds' || verdict.state === 'watch');
    if (fails > 0) return { done, summary: msg`${fails} reading fails¦${fails} readings fail` };
    if (ownFindings.every(({ value }) => value === null)) return { done, summary: msg`nothing measured` };
    if (missing > 0) return { done, summary: msg`${missing} not proved` };
    if (ownFindings.some(({ waived }) => waived)) return { done, summary: msg`partly waived` };
    return { done, summary: done ? msg`proved` : msg`readings pass` };
  },

  fit(_, __, all) {
    const torques = all.filter(isAbout('torque'));
    // The unit stands once, behind the last.
    const torque = ({ value, limit }: Finding, i: number) => {
      const last = i === torques.length - 1 ? amount : bare;
      if (value !== null) return last(value, 'N·m', 0);
      return limit?.kind === 'window'
        ? verbatim`${bare(limit.least, 'N·m', 0)}–${last(limit.most, 'N·m', 0)}`
        : '';
    };
    return {
      done: all.every(({ state }) => state === 'holds'),
      summary: listed(torques.map(torque), ', '),
    };
  },
};
