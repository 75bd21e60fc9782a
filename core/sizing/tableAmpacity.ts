import { INCH_SMALL_CRAFT } from '../model/tables/inchSmallCraft.ts';
import { METRIC_SMALL_CRAFT } from '../model/tables/metricSmallCraft.ts';
import { areaMm2, type GaugeName, isNotAbove } from '../model/tables/size.ts';
import { ambientFactor } from './ambientFactor.ts';

/** Where a table is being read. */
export interface TableSite {
  /** Copper of the conductor, mm². */
  readonly copperMm2: number;
  /** The lower of the insulation's and the termination's limit, °C. */
  readonly limitC: number;
  readonly ambientC: number;
  readonly engineSpace: boolean;
}

/** A reading of one table: the row and column that apply, and what the surroundings leave of its amps. */
export interface TableReading {
  /** Allowed continuous amps after the ambient factor, before the placing factor. */
  readonly allowedA: number;
  /** The row used: the largest that is not larger in copper. */
  readonly row: string;
  /** The column used: the highest insulation rating that is not above the limit, °C. */
  readonly columnC: number;
  readonly tableA: number;
  readonly ambientFactor: number;
}

interface Row {
  readonly name: string;
  readonly copperMm2: number;
  readonly amps: readonly number[];
}

interface Table {
  readonly referenceC: (columnC: number) => number;
  readonly insulationC: readonly number[];
  /** Thickest first, so that the first that is not above a conductor is the one to read. */
  readonly rows: readonly Row[];
  readonly engineSpaceFactor: Readonly<Record<string, number>>;
}

/** A published table with its rows in order, made once. */
function ordered(
  {
    insulationC,
    rows,
    engineSpaceFactor,
  }: Omit<Table, 'rows' | 'referenceC'> & {
    readonly rows: Readonly<Record<string, readonly number[]>>;
  },
  referenceC: Table['referenceC'],
  copperOf: (name: string) => number,
): Table {
  return {
    referenceC,
    insulationC,
    engineSpaceFactor,
    rows: Object.entries(rows)
      .map(([name, amps]) => ({ name, copperMm2: copperOf(name), amps }))
      .sort((a, b) => b.copperMm2 - a.copperMm2),
  };
}

const INCH = ordered(
  INCH_SMALL_CRAFT,
  () => INCH_SMALL_CRAFT.referenceC,
  (name) => areaMm2({ system: 'awg', name: name as GaugeName }),
);

const METRIC = ordered(
  METRIC_SMALL_CRAFT,
  (columnC) => (columnC === 60 ? METRIC_SMALL_CRAFT.referenceOf60ColumnC : METRIC_SMALL_CRAFT.referenceC),
  Number,
);

function readTable(table: Table, site: TableSite): TableReading | null {
  const row = table.rows.find(({ copperMm2 }) => isNotAbove(copperMm2, site.copperMm2));
  const columnC = table.insulationC.findLast((rating) => rating <= site.limitC);
  if (row === undefined || columnC === undefined) return null;
  const tableA = row.amps[table.insulationC.indexOf(columnC)];
  if (tableA === undefined) throw new RangeError(`no ${columnC} °C column in row ${row.name}`);
  const byFormula = ambientFactor(columnC, site.ambientC, table.referenceC(columnC));
  const published = site.engineSpace ? (table.engineSpaceFactor[columnC] ?? 1) : 1;
  const factor = Math.min(byFormula, published);
  return { allowedA: tableA * factor, row: row.name, columnC, tableA, ambientFactor: factor };
}

/**
 * Allowed continuous amps by the inch-gauge small-craft table, or null where it has no row or column.
 * The row is the largest gauge that holds no more copper, so the table is never interpolated upwards.
 *
 * Source: {@link INCH_SMALL_CRAFT}.
 *
 * @example ampacityInch({ copperMm2: 53.5, limitC: 105, ambientC: 30, engineSpace: false })?.allowedA // 285
 */
export function ampacityInch(site: TableSite): TableReading | null {
  return readTable(INCH, site);
}

/**
 * Allowed continuous amps by the metric small-craft table, or null where it has no row or column.
 *
 * Source: {@link METRIC_SMALL_CRAFT}. In an engine space the stricter of the published factor and the formula holds.
 *
 * @example ampacityMetric({ copperMm2: 50, limitC: 105, ambientC: 70, engineSpace: true })?.allowedA // 184
 */
export function ampacityMetric(site: TableSite): TableReading | null {
  return readTable(METRIC, site);
}
