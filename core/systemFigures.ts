import type { CableWork } from './cableWork.ts';
import type { Job } from './model/job.ts';
import { isSoldered, SOLDERED_SHORT_C } from './model/method.ts';
import type { Shop } from './model/shop.ts';
import { adiabaticK, SHORT_CIRCUIT_LIMIT_C } from './sizing/fault.ts';
import { hottestC } from './sizing/governing.ts';
import { strictestAmps } from './sizing/schoolFindings.ts';
import type { LimitsOf, SystemFinding } from './system/findingParts.ts';
import { loadFindings, lossFindings, stateFindings } from './system/loadFindings.ts';
import type { LoadDrop } from './system/path.ts';
import { placeFindings } from './system/placeFindings.ts';
import { protectionFindings } from './system/protectionFindings.ts';
import type { CableRun } from './system/runs.ts';
import type { ShortAt } from './system/shorts.ts';
import type { SolvedState } from './system/solve.ts';
import { bankShare, type BankShare } from './system/banks.ts';
import { guardKey } from './system/protection.ts';
import { guardsOf } from './system/view.ts';
import { shortAtPlace } from './system/zones.ts';
import type { SystemWork } from './systemWork.ts';

/** Every figure of an installation, as plain data. */
export interface SystemFigures {
  readonly states: readonly SolvedState[];
  readonly posts: readonly { readonly place: string; readonly post: string }[];
  readonly runs: readonly CableRun[];
  readonly drops: readonly LoadDrop[];
  readonly shorts: readonly (ShortAt & { readonly place: string })[];
  /** The fuse that guards each cable, by its place or its cable and end; null where none does. */
  readonly guards: readonly { readonly cableId: string; readonly guard: string | null }[];
  readonly banks: readonly {
    readonly batteries: readonly (readonly string[])[];
    readonly shares: readonly BankShare[];
  }[];
  readonly findings: readonly SystemFinding[];
}

/** What the bench of each cable says of its conductor. */
export function limitsOf(job: Job, cables: readonly CableWork[], shop: Shop): LimitsOf {
  const soldered = new Set(job.cables.filter((cable) => isSoldered(cable, shop)).map(({ id }) => id));
  const known = new Map(
    cables.map(({ cableId, kind, choice }) => {
      const taken = choice.taken.at;
      const heldC = hottestC(taken);
      const insulationC = SHORT_CIRCUIT_LIMIT_C[kind.insulation];
      const finalC = soldered.has(cableId) ? Math.min(insulationC, SOLDERED_SHORT_C) : insulationC;
      const k = heldC === null || heldC >= finalC ? null : adiabaticK(heldC, finalC);
      return [cableId, { at: taken, allowedA: strictestAmps(taken, shop.practice), k }] as const;
    }),
  );
  return (cableId) => known.get(cableId) ?? null;
}

/** What a surveyor finds in an installation. */
export function systemFindings(
  { view, job }: SystemWork,
  cables: readonly CableWork[],
  shop: Shop,
): SystemFinding[] {
  return [
    ...stateFindings(view),
    ...lossFindings(view),
    ...loadFindings(view),
    ...protectionFindings(view, limitsOf(job, cables, shop), shop.practice),
    ...placeFindings(view, shop.practice),
  ];
}

/** Everything computed of an installation, for files and the command line. */
export function systemFigures(work: SystemWork, cables: readonly CableWork[], shop: Shop): SystemFigures {
  const { view } = work;
  const { solved, installation } = view;
  return {
    states: solved.states,
    posts: installation.posts.map(({ place, post }) => ({ place, post })),
    runs: view.runs,
    drops: view.drops,
    shorts: installation.system.places.flatMap(({ id }) => {
      const short = shortAtPlace(view, id);
      return short ? [{ place: id, ...short }] : [];
    }),
    guards: [...guardsOf(view)].map(([cableId, { guard }]) => ({ cableId, guard: guard && guardKey(guard) })),
    banks: view.banks.map((bank) => ({
      batteries: bank.strings.map((string) => string.map(({ id }) => id)),
      shares: solved.states.flatMap((state) => bankShare(solved, state, bank) ?? []),
    })),
    findings: systemFindings(work, cables, shop),
  };
}
