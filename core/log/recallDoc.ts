import type { WorkedCable } from '../cableWork.ts';
import type { Job } from '../model/job.ts';
import type { Recalled } from './recall.ts';
import { tell } from '../words/message.ts';
import { say } from '../words/say.ts';
import type { ListDoc } from '../paper/listDoc.ts';

/** The list of a recall for whoever owns the cables: which, where they are fitted, why, and what was found and done. */
export function recallDoc(
  what: string,
  rows: readonly Recalled<WorkedCable & { readonly job: Pick<Job, 'title'> }>[],
): ListDoc {
  const jobs = [...new Set(rows.map(({ job }) => job.title))];
  return {
    title: say`Recall`,
    subtitle: what,
    columns: [
      { title: say`tag`, width: 0.12 },
      { title: say`from and to`, width: 0.3 },
      { title: say`fitted`, width: 0.12 },
      { title: say`why`, width: 0.26 },
      { title: say`inspected, by`, width: 0.2 },
    ],
    sections: jobs.map((title) => ({
      title,
      rows: rows
        .filter(({ job }) => job.title === title)
        .map(({ cable, fitted, because }) => {
          const last = cable.nonconformances?.at(-1);
          return [
            cable.tag,
            `${cable.ends.A.at || '–'} → ${cable.ends.B.at || '–'}`,
            fitted ?? say`not fitted`,
            last ? `${tell(because)}; ${last.cause}` : tell(because),
            last?.done ? `${last.done.what}, ${last.done.by}` : '[  ]',
          ];
        }),
    })),
    foot: say`Do not use a listed cable until it has been inspected. Local codes, class rules and licensed persons come first.`,
  };
}
