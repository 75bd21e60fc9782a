import type { Die, Tool } from '../../model/shop.ts';
import { type Message, amount, msg } from '../../words/message.ts';

/** Stress at which copper flows once a crimp has worked it, N/mm². Source: cold-worked copper, handbook values. */
export const FLOW_N_PER_MM2 = 300;
/** What a die that lets nothing out sideways asks above that: plane strain, 2/√3. */
export const CLOSED_DIE = 2 / Math.sqrt(3);
/** How far the estimate may be off either way, as a share: lugs differ in temper, dies in their edges. */
const FORCE_DOUBT = 0.25;

/** A hexagon across its corners, mm: `(2/√3) · AF`. @example cornersMm(14.4) // 16.6 */
export const cornersMm = (acrossFlatsMm: number): number => (2 / Math.sqrt(3)) * acrossFlatsMm;

/**
 * Force that closes a hexagonal die on copper, kN: `F = (2/√3) · σ · e · w`, with the hexagon across its corners
 * `e = (2/√3) · AF` and the die so wide. An estimate, to a quarter: a trial says more.
 *
 * @param acrossFlatsMm 2–60
 * @param widthMm of the die, 2–40
 * @example closingForceKn({ acrossFlatsMm: 14.4, widthMm: 10 }) // 57.6
 */
export const closingForceKn = ({ acrossFlatsMm, widthMm }: Pick<Die, 'acrossFlatsMm' | 'widthMm'>): number =>
  (CLOSED_DIE * FLOW_N_PER_MM2 * cornersMm(acrossFlatsMm) * widthMm) / 1000;

/** Whether a tool closes a die by its force: surely, perhaps, or not; null where its force is not known. */
export function closesBy(die: Die, { forceKn }: Pick<Tool, 'forceKn'>): 'surely' | 'perhaps' | 'not' | null {
  if (forceKn === undefined) return null;
  const needed = closingForceKn(die);
  if (needed * (1 + FORCE_DOUBT) <= forceKn) return 'surely';
  return needed * (1 - FORCE_DOUBT) <= forceKn ? 'perhaps' : 'not';
}

/** Why a tool is too weak for a die; empty where it is not, or nobody knows. */
export const tooWeak = (die: Die, tool: Tool): Message =>
  closesBy(die, tool) === 'not'
    ? msg`it gives ${amount(tool.forceKn ?? 0, 'kN', 0)}, and closing this die takes about ${amount(closingForceKn(die), 'kN', 0)}`
    : '';
