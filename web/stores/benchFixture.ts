import { genericShop } from '../../core/model/catalogue/genericShop.ts';
import type { Job } from '../../core/model/job.ts';
import { newCable } from '../../core/model/newCable.ts';
import { prefsSchema } from '../storage/prefs.ts';

export const shop = genericShop();
/** Three cables of which nothing is known yet. */
export const job: Job = {
  id: 'j',
  title: 'Test',
  subtitle: '',
  cables: ['a', 'b', 'c'].map((id, i) => newCable(id, `C-${i + 1}`, shop)),
  studs: [],
  heeded: [],
};
/** As it is read from the device. */
export const library = {
  jobs: [job],
  hunts: [],
  bin: [],
  shop,
  prefs: prefsSchema.parse({}),
  unreadable: [],
  isNew: false,
};
