import { ENDS_HELP } from './endsHelp.ts';
import { ANY, type HelpEntry } from './helpEntry.ts';
import { KIT_HELP } from './kitHelp.ts';
import { PROVE_HELP } from './proveHelp.ts';
import { RUN_HELP } from './runHelp.ts';
import { SHOP_HELP } from './shopHelp.ts';
import { SURVEY_HELP } from './surveyHelp.ts';
import { SYSTEM_HELP } from './systemHelp.ts';

/** All the help there is, by the label of its field: the language stays while the page does. */
export const HELP: ReadonlyMap<string, HelpEntry> = new Map(
  [...RUN_HELP, ...ENDS_HELP, ...PROVE_HELP, ...SHOP_HELP, ...SYSTEM_HELP, ...KIT_HELP, ...SURVEY_HELP].map(
    (entry) => [entry[0], entry],
  ),
);

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** Labels with a name in them, those that say most of themselves first. */
const PATTERNS = [...HELP.values()]
  .filter(([label]) => label.includes(ANY))
  .toSorted(([a], [b]) => b.length - a.length)
  .map((entry) => ({ entry, pattern: new RegExp(`^${entry[0].split(ANY).map(escaped).join('.*')}$`) }));

/**
 * The help for a field.
 *
 * @param label as it stands beside the field, in the reader's language
 * @example helpFor('Lug of A') // the help for “Lug of …”
 */
export const helpFor = (label: string): HelpEntry | undefined =>
  HELP.get(label) ?? PATTERNS.find(({ pattern }) => pattern.test(label))?.entry;
