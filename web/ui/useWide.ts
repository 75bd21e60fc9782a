import { useMediaQuery } from '@vueuse/core';

/** Room for the rack beside the bench. */
export const useIsDesk = () => useMediaQuery('(min-width: 1024px)');
/** A phone held upright: one end of the cable at a time. */
export const useIsPhone = () => useMediaQuery('(max-width: 639px)');
