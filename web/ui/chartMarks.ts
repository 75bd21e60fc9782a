import type { ChartArea } from 'chart.js';

/** Where a mark is drawn: the canvas, and the field that the axes enclose. */
export interface Field {
  readonly ctx: CanvasRenderingContext2D;
  readonly chartArea: ChartArea;
}
export interface Stroke {
  readonly colour: string;
  readonly width: number;
  readonly dash?: readonly number[];
}

function stroked(
  ctx: CanvasRenderingContext2D,
  { colour, width, dash = [] }: Stroke,
  path: () => void,
): void {
  ctx.save();
  ctx.strokeStyle = colour;
  ctx.lineWidth = width;
  ctx.setLineDash([...dash]);
  ctx.beginPath();
  path();
  ctx.stroke();
  ctx.restore();
}

/** A line across the field at a height, px. */
export const levelLine = ({ ctx, chartArea }: Field, y: number, stroke: Stroke): void =>
  stroked(ctx, stroke, () => {
    ctx.moveTo(chartArea.left, y);
    ctx.lineTo(chartArea.right, y);
  });

/** An upright line over the whole field, px. */
export const uprightLine = ({ ctx, chartArea }: Field, x: number, stroke: Stroke): void =>
  stroked(ctx, stroke, () => {
    ctx.moveTo(x, chartArea.top);
    ctx.lineTo(x, chartArea.bottom);
  });

/** A band of the field, px; to its edges where nothing is given. */
export function band(
  { ctx, chartArea }: Field,
  edges: Partial<Pick<ChartArea, 'left' | 'top' | 'bottom'>>,
  colour: string,
): void {
  const { left, top, bottom, right } = { ...chartArea, ...edges };
  ctx.save();
  ctx.fillStyle = colour;
  ctx.fillRect(left, top, right - left, bottom - top);
  ctx.restore();
}

export interface Lettering {
  readonly colour: string;
  /** Hundreds of the weight, and px. */
  readonly weight: 400 | 500 | 600;
  readonly px: number;
  readonly align?: CanvasTextAlign;
  /** Drawn round the letters, so that they stand clear of whatever line runs behind them. */
  readonly halo?: string;
}

/** A figure or a few words beside a mark. */
export function lettered(
  { ctx }: Pick<Field, 'ctx'>,
  text: string,
  [x, y]: readonly [number, number],
  { colour, weight, px, align = 'left', halo }: Lettering,
): void {
  ctx.save();
  ctx.font = `${weight} ${px}px "Barlow Condensed"`;
  ctx.textAlign = align;
  if (halo !== undefined) {
    ctx.strokeStyle = halo;
    ctx.lineWidth = 5;
    ctx.lineJoin = 'round';
    ctx.strokeText(text, x, y);
  }
  ctx.fillStyle = colour;
  ctx.fillText(text, x, y);
  ctx.restore();
}
