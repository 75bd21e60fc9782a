import { shallowRef } from 'vue';
import type { EndName } from '../../../core/model/end.ts';
import type { CrimpPlace } from '../../../core/proof/crimpsRead.ts';

/** Where the calliper goes next: the field asks it, and the drawing shows it. Null while nothing is asked. */
export const askedPlace = shallowRef<(CrimpPlace & { readonly end: EndName }) | null>(null);
