/** Degrees in radians. @example radians(180) // π */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
