import type { Step } from '../../core/traveller/step.ts';
import { inReadersUnit } from '../ui/display.ts';

/** The figure of a step in the reader's unit, or an angle; null where the step has none. */
export function shownFigure({ figure }: Step) {
  if (!figure) return null;
  return figure.unit === '°'
    ? { value: String(figure.value), unit: '°' }
    : inReadersUnit(figure.value, figure.unit, figure.decimals);
}
