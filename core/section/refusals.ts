import { type Message, msg } from '../words/message.ts';
import type { Refusal } from './outline.ts';

/** Why no section was measured, in a sentence each. */
export const REFUSALS: Readonly<Record<Refusal, Message>> = {
  'too small': msg`The section is too small in this picture: go nearer, so that it is at least 120 pixels across.`,
  'no metal': msg`No section is seen: one sawn crimp on a plain bench, filling a good part of the picture.`,
  'cut off': msg`The section runs out of the picture: take it whole, with bench all round.`,
  'no outline': msg`What is seen is no hexagon: lay one crimp flat on a plain bench and look straight down on it.`,
  round: msg`What is seen has no corners: an indent, an oval or a barrel not yet crimped. Only hexagons are measured here.`,
  'spoilt colours': msg`The colours are no copper: a channel is missing, or the light was coloured. Take it again in white light.`,
  'too blurred': msg`The picture is too blurred to see air between strands: hold still, focus on the cut, give it light.`,
};
