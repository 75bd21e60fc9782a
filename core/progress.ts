import { sizeLabel } from './model/tables/size.ts';
import { type Finding, worst } from './finding/finding.ts';
import { isAbout } from './finding/topics.ts';
import { type Cable, type Stage, STAGES } from './model/cable.ts';
import { heaviestStepA } from './sizing/loadIn.ts';
import { figure } from './model/units/figure.ts';
import { meetsWord } from './model/posts.ts';
import type { CableWork, StageReport } from './cableWork.ts';
import { say } from './words/say.ts';

type Work = Omit<CableWork, 'stages'>;

/** How far each stage of a cable is: what the track and the rack show. */
export function stageReports(cable: Cable, work: Work): CableWork['stages'] {
  const report = (stage: Stage): StageReport => {
    const own = work.findings.filter((finding) => finding.stage === stage);
    const state = worst(own.map((finding) => finding.state));
    const { done, summary } = PROGRESS[stage](cable, work, own);
    return { stage, state, binds: own.some(({ binds }) => binds), done: done && state !== 'fails', summary };
  };
  return Object.fromEntries(STAGES.map((stage) => [stage, report(stage)])) as CableWork['stages'];
}

type Progress = (
  cable: Cable,
  work: Work,
  own: readonly Finding[],
) => { readonly done: boolean; readonly summary: string };

const failing = (findings: readonly Finding[]) => findings.filter(({ state }) => state === 'fails');
const short = ({ title }: Finding) => (title.split(',')[0] ?? title).toLowerCase().replace('by ', '');

const PROGRESS: Readonly<Record<Stage, Progress>> = {
  run({ run }, { choice }) {
    const amps = choice.taken.at.currentA;
    const load =
      amps === null
        ? say`cannot deliver`
        : amps === 0 && run.duty
          ? say`${figure(heaviestStepA(run.duty), 'A', 0)} surge`
          : figure(amps, 'A', 0);
    return {
      done: amps !== null && (amps > 0 || run.duty !== undefined),
      summary: `${load}, ${figure(run.lengthMm / 1000, '', 2)} m`,
    };
  },

  gauge({ gauge }, { choice, kind }, gaugeFindings) {
    const label = sizeLabel(choice.taken.at.size);
    const [failed] = failing(gaugeFindings);
    if (failed) return { done: false, summary: say`${short(failed)} fails` };
    const binding = gaugeFindings.find(({ binds }) => binds);
    const detail = binding ? say`${short(binding)} binds` : kind.tinned ? say`tinned` : say`plain`;
    return {
      done: gauge.size !== undefined,
      summary: choice.isProposed ? say`${label} proposed` : `${label}, ${detail}`,
    };
  },

  ends(_, { ends }, own) {
    const both = [ends.A, ends.B];
    const isSaid = both.every(({ proposed }) => !proposed.lug && !proposed.die && !proposed.sleeve);
    const fails = failing(own).length;
    if (fails > 0) return { done: false, summary: fails === 1 ? say`1 fails` : say`${fails} fail` };
    return {
      done: isSaid,
      summary: isSaid ? both.map(({ meets }) => meetsWord(meets)).join(', ') : say`proposed`,
    };
  },

  cut({ done }, { lengths }) {
    return {
      done: done.some(({ step }) => step === 'cut'),
      summary: lengths ? figure(lengths.cutMm, 'mm', 0) : say`needs both lugs`,
    };
  },

  make({ done }, { steps }) {
    const count = steps.filter(({ id }) => done.some(({ step }) => step === id)).length;
    return {
      done: steps.length > 0 && count === steps.length,
      summary: steps.length > 0 ? say`${count} of ${steps.length} steps` : say`needs both ends`,
    };
  },

  prove(_, { verdict }, ownFindings) {
    const missing = ownFindings.filter(({ state, waived }) => state === 'unproved' && !waived).length;
    const fails = failing(ownFindings).length;
    const done = missing === 0 && (verdict.state === 'holds' || verdict.state === 'watch');
    if (fails > 0)
      return { done, summary: `${fails} ${fails === 1 ? say`reading fails` : say`readings fail`}` };
    if (ownFindings.every(({ value }) => value === null)) return { done, summary: say`nothing measured` };
    if (missing > 0) return { done, summary: say`${missing} not proved` };
    if (ownFindings.some(({ waived }) => waived)) return { done, summary: say`waived in part` };
    return { done, summary: done ? say`proved` : say`readings hold` };
  },

  fit(_, __, all) {
    const torques = all.filter(isAbout('torque'));
    const torque = ({ value, limit }: Finding) =>
      value !== null ? figure(value, '', 0) : limit?.kind === 'window' ? `${limit.least}–${limit.most}` : '';
    return {
      done: all.every(({ state }) => state === 'holds'),
      summary: `${torques.map(torque).join(', ')} N·m`,
    };
  },
};
