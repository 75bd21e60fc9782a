import { type Message, tell, verbatim } from '../words/message.ts';
import { type Column, textField, writeCsv } from '../model/csv.ts';
import type { CutPlan } from './cutPlan.ts';
import type { Kit, KitLine } from './kit.ts';
import type { CutGroup } from './pieces.ts';

interface CutLine {
  readonly group: CutGroup;
  readonly label: string;
  readonly lengthMm: number;
  readonly from: string;
}

const out = <T>(title: string, write: (item: T) => Message): Column<T> => ({
  key: title,
  title,
  read: textField(200),
  write: (item) => tell(write(item)),
});

/** The cutting list: every piece, what it is of, and the spool it comes from, in the order of cutting. */
export function writeCuttingListCsv(
  plans: readonly { readonly group: CutGroup; readonly plan: CutPlan }[],
): string {
  const lines = plans.flatMap(({ group, plan }): CutLine[] => [
    ...plan.spools.flatMap(({ stock, pieces }) =>
      pieces.map(({ label, lengthMm }) => ({
        group,
        label,
        lengthMm,
        from: group.spools.find(({ id }) => id === stock.id)?.label ?? stock.id,
      })),
    ),
    ...plan.unplaced.map(({ label, lengthMm }) => ({ group, label, lengthMm, from: 'to buy' })),
  ]);
  return writeCsv<CutLine>(
    [
      out('cable', ({ group }) => verbatim`${group.title} ${group.kindTitle.toLowerCase()}`),
      out('from', ({ from }) => from),
      out('tag', ({ label }) => label),
      out('cut mm', ({ lengthMm }) => String(lengthMm)),
    ],
    lines,
  );
}

const amount = (value: number, unit: KitLine['unit']) =>
  unit === '' ? String(value) : value.toFixed(unit === 'mm' ? 0 : 1);

/** The kit: what is needed, what is on the shelf, what to buy. */
export function writeKitCsv({ lines }: Kit, currency: string): string {
  return writeCsv<KitLine>(
    [
      out('what', ({ what }) => what),
      out('note', ({ note }) => note),
      out('unit', ({ unit }) => unit || 'pieces'),
      out('need', ({ need, unit }) => amount(need, unit)),
      out('on the shelf', ({ have, unit }) => (have === null ? 'not counted' : amount(have, unit))),
      out('buy', ({ buy, unit }) => amount(buy, unit)),
      out(`price ${currency}`, ({ price }) => (price === null ? '' : price.toFixed(2))),
      out('mass g', ({ massG }) => massG.toFixed(0)),
    ],
    lines,
  );
}
