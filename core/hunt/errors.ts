/**
 * What the meters of a hunt may be off by. A limit is what a meter's own sheet gives; it is taken as two standard
 * deviations.
 *
 * Source: usual of a pocket meter and a clamp of 1 %; the meter's own sheet governs. Confidence: medium.
 */

/** A meter reads millivolts to this, and amps and volts to this share. */
const METER_MILLIVOLT = 0.5;
const METER_SHARE = 0.01;
/** Two voltages at posts and load are each read to this, V. */
const METER_VOLT = 0.01;
/** So much the load may have drifted since its amps were read. */
const DRIFT_SHARE = 0.005;

/** A limit of a sheet in standard deviations. */
const LIMIT_SIGMAS = 2;

/** How far a reading of millivolts may be off, mV. @example readingErrorMillivolt(120) // 1.7 */
export const readingErrorMillivolt = (millivolt: number): number =>
  METER_MILLIVOLT + METER_SHARE * Math.abs(millivolt);

/** How far posts less load may be off, mV, as two readings of volts. @example wholeErrorMillivolt(1330) // 33.3 */
export const wholeErrorMillivolt = (lostMillivolt: number): number =>
  2 * METER_VOLT * 1000 + METER_SHARE * Math.abs(lostMillivolt);

/** The standard deviation of a figure that may be off by so much, with what the load drifts between readings. */
export const sigmaOf = (error: number, value: number): number =>
  Math.hypot(error / LIMIT_SIGMAS, DRIFT_SHARE * value);
