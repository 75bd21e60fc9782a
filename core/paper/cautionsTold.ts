import { CAUTIONS, type CautionId } from '../model/cautions.ts';
import { tell } from '../words/message.ts';

/** Lists of caution as they stand on a sheet. */
export const cautionsTold = (ids: readonly CautionId[]) =>
  ids.map((id) => ({ title: tell(CAUTIONS[id].title), items: CAUTIONS[id].items.map(tell) }));
