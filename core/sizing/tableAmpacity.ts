import { INCH_SMALL_CRAFT } from '../catalogue/tables/inchSmallCraft.ts';
import { METRIC_SMALL_CRAFT } from '../catalogue/tables/metricSmallCraft.ts';
import { areaMm2, type GaugeName, largestNotAbove } from '../conductor/size.ts';
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

interface Table {
  readonly referenceC: (columnC: number) => number;
  readonly insulationC: readonly number[];
  readonly rows: Readonly<Record<string, readonly number[]>>;
  readonly engineSpaceFactor: Readonly<Record<string, number>>;
  readonly areaOf: (row: string) => number;
}

const INCH: Table = {
  ...INCH_SMALL_CRAFT,
  referenceC: () => INCH_SMALL_CRAFT.referenceC,
  areaOf: (row) => areaMm2({ system: 'awg', name: row as GaugeName }),
};

const METRIC: Table = {
  ...METRIC_SMALL_CRAFT,
  referenceC: (columnC) =>
    columnC === 60 ? METRIC_SMALL_CRAFT.referenceOf60ColumnC : METRIC_SMALL_CRAFT.referenceC,
  areaOf: Number,
};

function readTable(table: Table, site: TableSite): TableReading | null {
  const row = largestNotAbove(Object.keys(table.rows), table.areaOf, site.copperMm2);
  const columnC = largestNotAbove(table.insulationC, Number, site.limitC);
  if (row === undefined || columnC === undefined) return null;
  const tableA = table.rows[row]?.[table.insulationC.indexOf(columnC)];
  if (tableA === undefined) throw new RangeError(`no ${columnC} °C column in row ${row}`);
  const byFormula = ambientFactor(columnC, site.ambientC, table.referenceC(columnC));
  const published = site.engineSpace ? (table.engineSpaceFactor[columnC] ?? 1) : 1;
  const factor = Math.min(byFormula, published);
  return { allowedA: tableA * factor, row, columnC, tableA, ambientFactor: factor };
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
