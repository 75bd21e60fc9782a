/** What is in hand on the map: a row, and a die on it where one is. */
export interface Chosen {
  readonly rowKey: string;
  readonly dieId: string | null;
}
