import { nanoid } from 'nanoid';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { Hunt, Piece } from '../../core/model/hunt.ts';
import { cableOfPiece, inPlaceOf, remadeCable } from '../../core/hunt/newHunt.ts';
import { huntFindings } from '../../core/hunt/huntFindings.ts';
import { ladderOf } from '../../core/hunt/ladder.ts';
import { certainOf, huntFound } from '../../core/hunt/suspects.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Job } from '../../core/model/job.ts';
import { duplicateCable, newCable, nextTag } from '../../core/model/newCable.ts';
import { placeOf } from '../places.ts';
import { useBench } from '../stores/bench.ts';
import { say } from '../../core/words/say.ts';

/** Where a hunt is looked at: in its job, or by itself. */
export const huntPlace = (id: string, jobId?: string) =>
  jobId ? { name: 'hunt', params: { jobId, huntId: id } } : { name: 'hunt-alone', params: { huntId: id } };

/** A hunt with everything that is worked up from it, and what may be done with it. */
export function useHunt(hunt: () => Hunt | undefined) {
  const bench = useBench();
  const router = useRouter();
  const found = computed(() => {
    const own = hunt();
    return own ? huntFound(own, certainOf(bench.shop.practice)) : null;
  });
  const ladder = computed(() => {
    const own = hunt();
    return own && found.value ? ladderOf(own, found.value) : null;
  });
  const findings = computed(() => {
    const own = hunt();
    return own ? huntFindings(own) : [];
  });

  /** The cable to make again: that of the worst piece. */
  const guilty = computed(() => {
    const own = hunt();
    const top = found.value?.named[0];
    const piece = own && top ? cableOfPiece(own, top.piece) : null;
    return piece && top ? { piece, top } : null;
  });

  /** Makes the cable of a piece again in the hunt's job, or in a new one, and goes there. */
  function remake(piece: Piece): void {
    const hunted = hunt();
    if (!hunted) return;
    const job = (hunted.jobId ? bench.jobById(hunted.jobId) : undefined) ?? bench.addEmptyJob(hunted.title);
    if (hunted.jobId !== job.id) bench.keepHunt({ ...hunted, jobId: job.id }, say`hunt put into its job`);
    const old = job.cables.find(({ id }) => id === piece.ofCable);
    const made = old ? copyOf(job, old, hunted) : fresh(job, piece, hunted);
    void router.push(placeOf(job.id, made.id, 'run'));
  }
  function copyOf(job: Job, old: Cable, own: Hunt): Cable {
    const notes = `${inPlaceOf(own, old.tag)} ${old.notes}`.trim();
    const made = { ...duplicateCable(old, nanoid(10), job), notes };
    return bench.insertCable(job.id, made, old.id, say`remake cable`);
  }
  function fresh(job: Job, piece: Piece, own: Hunt): Cable {
    const blank = newCable(nanoid(10), nextTag(job.cables.map(({ tag }) => tag)), bench.shop);
    return bench.insertCable(job.id, remadeCable(own, piece, blank), undefined, say`remake cable`);
  }
  return { found, ladder, findings, guilty, remake };
}
