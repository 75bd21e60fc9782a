/** What the measures of inches and pounds are in those that the core calculates in: exact, or to the last digit that is customary. */
export const INCH_MM = 25.4;
export const FOOT_MM = 304.8;
/** The area of a circle one thousandth of an inch across, mm². */
export const CIRCULAR_MIL_MM2 = (Math.PI / 4) * 0.0254 ** 2;
/** One pound of force, N. */
export const LBF_N = 4.44822;
/** One pound of force at one foot, N·m. */
export const LBF_FT_NM = 1.35582;
/** One ounce, g: a sixteenth of a pound. */
export const OUNCE_G = 28.349523125;
/** One pound, kg. */
export const LB_KG = 0.45359237;
