import { computed, ref, shallowRef, watch } from 'vue';
import { nanoid } from 'nanoid';
import type { Job } from '../../core/model/job.ts';
import { worstFirst } from '../../core/finding/finding.ts';
import { diagramOf } from '../../core/system/diagram.ts';
import { withPlaces } from '../../core/system/places.ts';
import { shownIn } from '../../core/system/shown.ts';
import { systemFindings } from '../../core/systemFigures.ts';
import type { CableWork } from '../../core/cableWork.ts';
import { useBench } from '../stores/bench.ts';
import { systemOf, triedWork } from '../stores/work.ts';
import { report } from '../trouble/faults.ts';
import type { DrawnDiagram } from './layout.ts';
import { say } from '../../core/words/say.ts';

/** The installation of a job with everything that is worked out of it, and what may be done with it. */

export function useSystem(jobId: () => string) {
  const bench = useBench();
  const job = computed(() => bench.jobById(jobId()));
  /** The job with places on it, whether they are its own or only drawn from names. */
  const placed = computed(() => job.value && withPlaces(job.value));
  const work = computed(() => job.value && systemOf(job.value, bench.shop));
  const view = computed(() => work.value?.view);
  const findings = computed(() => {
    const own = job.value;
    if (!own || !work.value) return [];
    const works = own.cables
      .map((cable) => triedWork(cable, bench.shop, own))
      .filter((one): one is CableWork => one !== null);
    return worstFirst(systemFindings(work.value, works, bench.shop));
  });
  /** The state that is looked at; null for the worst of all. */
  const stateId = ref<string | null>(null);
  const states = computed(() => placed.value?.system?.states ?? []);
  watch(states, (now) => {
    if (stateId.value !== null && !now.some(({ id }) => id === stateId.value)) stateId.value = null;
  });
  const shown = computed(() => view.value && shownIn(view.value, stateId.value));
  const diagram = computed(() => view.value && diagramOf(view.value));

  const drawn = shallowRef<DrawnDiagram | null>(null);
  const trouble = ref('');
  let round = 0;
  watch(
    diagram,
    async (now) => {
      round += 1;
      const thisRound = round;
      if (!now) return;
      try {
        const { laidOut } = await import('./layout.ts');
        const placedDiagram = await laidOut(now);
        if (thisRound === round) drawn.value = placedDiagram;
        trouble.value = '';
      } catch (error) {
        report(error, 'system');
        trouble.value = say`The diagram could not be laid out here. The list below holds the same.`;
      }
    },
    { immediate: true },
  );

  /** Puts a changed job in the place of this one, as one step that undo takes back. */
  function change(what: string, make: (job: Job) => Job): void {
    if (job.value) bench.keepJob(make(job.value), what);
  }
  return {
    job,
    placed,
    work,
    view,
    findings,
    stateId,
    states,
    shown,
    drawn,
    trouble,
    change,
    newId: () => nanoid(10),
  };
}
