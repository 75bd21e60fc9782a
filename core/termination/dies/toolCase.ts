import { TOOL_KINDS, type ToolKindFacts } from '../../model/tables/tools.ts';
import type { End } from '../../model/end.ts';
import type { Die, Shop, Tool, Trial } from '../../model/shop.ts';
import { tooWeak } from './closingForce.ts';
import { countingTrials, learn, type Learned } from './learned.ts';
import { underItsName } from '../../model/catalogue/called.ts';
import { remember } from '../../lib/remember.ts';
import { type Message, msg, briefly } from '../../words/message.ts';

/** A die as it lies in the case: the tool it belongs to, and what its trials taught. */
export interface CaseDie {
  readonly die: Die;
  readonly tool: Tool;
  readonly kind: ToolKindFacts;
  readonly learned: Learned;
  readonly trials: readonly Trial[];
}

/** Dies and lugs a shop owns, opened once: what every end is offered from. */
export interface ToolCase {
  readonly dies: readonly CaseDie[];
  readonly lugs: Shop['lugs'];
}

const cases = remember<ToolCase>();
/** Opens the case, once for each state of the shop: each die with its tool and its trials. */
export const openCase = (shop: Shop): ToolCase => cases([shop], '', () => opened(shop));

/** A die whose tool is gone is left out. */
function opened({ dies, tools, lugs, trials }: Shop): ToolCase {
  const counting = countingTrials(trials);
  return {
    lugs,
    dies: dies.flatMap((die) => {
      const owned = tools.find(({ id }) => id === die.toolId);
      if (!owned) return [];
      const tool = underItsName(owned);
      const own = counting.filter(({ dieId }) => dieId === die.id);
      return [{ die, tool, kind: TOOL_KINDS[tool.kind], learned: learn(die, own, lugs), trials: own }];
    }),
  };
}

/** Where an end is finished: on the bench, or where the cable lies with the room there is. */
export type Place = End['inPlace'];

/**
 * Why a tool cannot be used on this copper in this place; empty where it can.
 *
 * @example cannotUse(benchPress, 50, { swingMm: 900, solidFloor: true }) // 'it stays on the bench'
 */
export function cannotUse(tool: Tool, copperMm2: number, place: Place): Message {
  const kind: ToolKindFacts = TOOL_KINDS[tool.kind];
  if (kind.refused) return kind.refused;
  const largest = tool.largestMm2 ?? kind.largestMm2;
  // The largest size is named by its nominal area; a real conductor of that name may hold a little more.
  if (copperMm2 > largest * 1.05) return msg`it closes on ${briefly(largest, 'mm²', 1)} at most`;
  if (!place) return '';
  if (kind.benchOnly) return msg`it cannot leave the bench`;
  if (kind.solidFloor && !place.solidFloor) return msg`it needs a solid floor to strike on`;
  const swing = tool.swingMm ?? kind.swingMm;
  return place.swingMm < swing ? msg`it needs ${briefly(swing, 'mm', 1)} of room to swing` : '';
}

/**
 * Why a die cannot be used on this copper in this place: its tool cannot, or is too weak to close it. Whoever has closed
 * it on that barrel knows that it closes. Empty where it can be used.
 *
 * @param isTried on this very barrel and copper
 */
export const whyUnfit = (
  { die, tool, kind }: CaseDie,
  copperMm2: number,
  place: Place,
  isTried: boolean,
): Message =>
  cannotUse(tool, copperMm2, place) || (kind.leaves === 'hexagon' && !isTried ? tooWeak(die, tool) : '');
