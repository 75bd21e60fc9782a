/** How far a sound source may fall under load, as a share of its rest: a starter is allowed far more. Shop setting. */
export const SAG_SHARE: Readonly<Record<'steady' | 'cranking', number>> = { steady: 0.06, cranking: 0.24 };
