/** What a section was sawn from, as far as it is said. */
export interface Sawn {
  /** The end it is kept with, "cable.A"; empty where it is kept as a trial. */
  readonly with: string;
  readonly lugId: string;
  readonly dieId: string;
  readonly flats: number | null;
  readonly ears: number | null;
}
