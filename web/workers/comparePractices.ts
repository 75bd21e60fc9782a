import type { Job } from '../../core/model/job.ts';
import type { Shop } from '../../core/model/shop.ts';
import { practiceChange, type PracticeChange, underPractice } from '../../core/practice/changes.ts';
import { QUESTIONS } from '../../core/practice/questions.ts';
import { rememberDuty } from '../../core/sizing/rememberDuty.ts';

/** Works a job up under each answer that a shop could give and does not, and tells what each would change. */
export async function compareUnderPractices(
  job: Job,
  shop: Shop,
  found: (answerId: string, change: PracticeChange) => Promise<void>,
): Promise<void> {
  const followDuty = rememberDuty();
  const now = underPractice(job, shop, shop.practice, followDuty);
  for (const { answers } of QUESTIONS) {
    for (const { id, taken, take } of answers) {
      if (taken(shop.practice)) continue;
      const then = underPractice(job, shop, take(shop.practice), followDuty);
      await found(id, practiceChange(job, now, then));
    }
  }
}
