import { nextTag } from '../model/newCable.ts';
import type { OldCable } from '../model/survey.ts';

/** An old cable not inspected yet. @example newOld('o1', ['Old-2'], { at, by }).tag // "Old-3" */
export const newOld = (id: string, tags: readonly string[], seen: Pick<OldCable, 'at' | 'by'>): OldCable => ({
  id,
  tag: nextTag(tags.length > 0 ? tags : ['Old-0']),
  polarity: 'positive',
  ends: { A: { at: '', marks: [], seen: false }, B: { at: '', marks: [], seen: false } },
  marks: [],
  photos: [],
  notes: '',
  ...seen,
});
