import { inject, type InjectionKey, provide } from 'vue';
import type { CableWork } from '../../core/cableWork.ts';
import { type Specimen, specimenOf } from '../../core/instrument/standIn/specimen.ts';

const KEY: InjectionKey<() => Specimen | null> = Symbol('specimen');

/** Says which cable the instruments below are put on. */
export const provideSpecimen = (work: () => CableWork): void => provide(KEY, () => specimenOf(work()));

/** The cable that instruments here are put on. */
export const useSpecimen = (): (() => Specimen | null) => inject(KEY, () => null);
