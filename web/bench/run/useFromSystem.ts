import { computed } from 'vue';
import type { Cable } from '../../../core/model/cable.ts';
import { SYSTEM_INPUTS, type SystemInput } from '../../../core/model/run.ts';
import { useBench } from '../../stores/bench.ts';
import { systemOf } from '../../stores/work.ts';

/** What the system of a job says of one of its cables, and which of its inputs come from there. */
export function useFromSystem(target: () => { jobId: string; cable: Cable }) {
  const bench = useBench();
  const from = computed(() => {
    const { jobId, cable } = target();
    const job = bench.jobById(jobId);
    // Only where the job has a system of its own: what is drawn from names feeds nobody.
    return job?.system ? systemOf(job, bench.shop).from.get(cable.id) : undefined;
  });
  const taken = computed((): ReadonlySet<SystemInput> => {
    const own = target().cable.run.fromSystem ?? [];
    return new Set(
      SYSTEM_INPUTS.filter((input) => own.includes(input) && from.value?.answers.includes(input)),
    );
  });
  const comes = (input: SystemInput) => taken.value.has(input);
  return { from, taken, comes };
}
