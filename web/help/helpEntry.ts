/** A drawing that goes with some help. */
export type PictureName =
  | 'along'
  | 'pole'
  | 'drop'
  | 'return'
  | 'flats'
  | 'ears'
  | 'pull'
  | 'terminal'
  | 'duty'
  | 'hole';

/**
 * The label of a field, in the reader's language; what the field is, how to find it out, what follows where it is
 * wrong; and a drawing where that helps.
 */
export type HelpEntry = readonly [label: string, text: string, picture?: PictureName];

/** In a label: whatever stands there, such as the name of the end or of the piece. */
export const ANY = '…';
