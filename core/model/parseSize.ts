import {
  type ConductorSize,
  GAUGE_SIZES,
  type GaugeName,
  METRIC_SIZES,
  type MetricSizeName,
} from './tables/size.ts';
import { say } from '../words/say.ts';

export type SizeEntry =
  | { readonly ok: true; readonly size: ConductorSize }
  | { readonly ok: false; readonly sentence: string };

/**
 * Reads a conductor size as people write it.
 *
 * @param system what a bare number means; a bare aught ("2/0") is always a gauge
 * @example parseSize('2/0', 'metric') // AWG 2/0
 * @example parseSize('70 mm2', 'awg') // 70 mm²
 */
export function parseSize(text: string, system: ConductorSize['system']): SizeEntry {
  const match =
    /^\s*(?:(awg|sae)\s*)?(\d\/0|0{1,4}|\d+(?:[.,]\d+)?)\s*(mm2|mm²|mm\^2|sq|awg|sae|ga|gauge)?\s*$/i.exec(
      text,
    );
  if (!match) return { ok: false, sentence: say`Write a size as 70, 70 mm², 2/0 or AWG 2.` };
  const [, before = '', number = '', after = ''] = match;
  const said = (before || after).toLowerCase();
  const name = /^0+$/.test(number) ? `${number.length}/0` : number.replace(',', '.');
  const isMetric = /^(mm|sq)/.test(said) || (said === '' && system === 'metric' && !name.includes('/'));
  if (isMetric) {
    return (METRIC_SIZES as readonly string[]).includes(name)
      ? { ok: true, size: { system: 'metric', name: name as MetricSizeName } }
      : { ok: false, sentence: say`${name} mm² is not a standard size; use ${METRIC_SIZES.join(', ')}.` };
  }
  if (!(GAUGE_SIZES as readonly string[]).includes(name)) {
    return { ok: false, sentence: say`${name} is not an AWG size here; ${GAUGE_SIZES.join(', ')} are.` };
  }
  const gauge = said === 'sae' || (said === '' && system === 'sae') ? 'sae' : 'awg';
  return { ok: true, size: { system: gauge, name: name as GaugeName } };
}
