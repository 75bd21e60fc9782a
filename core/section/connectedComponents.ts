/** A connected patch of a mask. */
export interface Component {
  readonly pixels: readonly number[];
  readonly touchesEdge: boolean;
}

/** Connected patches of what is 1 in a mask, by their sides; the largest first. */
export function connectedComponents(mask: Uint8Array, width: number, height: number): Component[] {
  const seen = new Uint8Array(mask.length);
  const found: Component[] = [];
  const stack: number[] = [];
  const visit = (place: number, isThere: boolean) => {
    if (!isThere || mask[place] === 0 || seen[place] === 1) return;
    seen[place] = 1;
    stack.push(place);
  };
  for (let start = 0; start < mask.length; start += 1) {
    if (mask[start] === 0 || seen[start] === 1) continue;
    const pixels: number[] = [];
    let touchesEdge = false;
    seen[start] = 1;
    stack.push(start);
    for (let i = stack.pop(); i !== undefined; i = stack.pop()) {
      pixels.push(i);
      const x = i % width;
      const y = (i - x) / width;
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) touchesEdge = true;
      visit(i - 1, x > 0);
      visit(i + 1, x < width - 1);
      visit(i - width, y > 0);
      visit(i + width, y < height - 1);
    }
    found.push({ pixels, touchesEdge });
  }
  return found.sort((a, b) => b.pixels.length - a.pixels.length);
}

/** A mask of one component, with the holes in it filled. */
export function filled(component: Component, width: number, height: number): Uint8Array {
  const outside = new Uint8Array(width * height).fill(1);
  for (const i of component.pixels) outside[i] = 0;
  const mask = new Uint8Array(width * height).fill(1);
  for (const own of connectedComponents(outside, width, height)) {
    if (own.touchesEdge) for (const i of own.pixels) mask[i] = 0;
  }
  return mask;
}

/** Dilation by a square: every pixel within `reach` of the mask; or with `erodes` erosion, only those that far inside it. */
export function dilated(
  mask: Uint8Array,
  width: number,
  height: number,
  reach: number,
  erodes = false,
): Uint8Array {
  const want = erodes ? 0 : 1;
  const pass = (from: Uint8Array, stride: number, length: number, lines: number, lineStride: number) => {
    const to = new Uint8Array(from.length).fill(1 - want);
    for (let line = 0; line < lines; line += 1) {
      let last = Number.NEGATIVE_INFINITY;
      const base = line * lineStride;
      for (let k = 0; k < length + reach; k += 1) {
        if (k < length && from[base + k * stride] === want) last = k;
        const centre = k - reach;
        if (centre >= 0 && last >= centre - reach) to[base + centre * stride] = want;
      }
    }
    return to;
  };
  return pass(pass(mask, 1, width, height, width), width, height, width, 1);
}
