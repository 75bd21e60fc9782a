/** What decides how a mark looks: written onto each, so that the file needs no style sheet. */
const PROPERTIES = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'stroke-linecap',
  'stroke-opacity',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
];

/** A drawing on the page as an SVG file that stands alone: its colours and faces written into it. */
export function standaloneSvg(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const originals = [svg, ...svg.querySelectorAll<SVGElement>('*')];
  const copies = [copy, ...copy.querySelectorAll<SVGElement>('*')];
  originals.forEach((original, i) => {
    const copy = copies[i];
    if (!copy) return;
    const style = getComputedStyle(original);
    for (const property of PROPERTIES) {
      const value = style.getPropertyValue(property);
      if (value && value !== 'none' && value !== 'auto') copy.setAttribute(property, value);
      else if (value === 'none' && (property === 'fill' || property === 'stroke'))
        copy.setAttribute(property, 'none');
    }
    for (const name of ['class', 'style', 'tabindex', 'role', 'aria-label', 'aria-labelledby'])
      copy.removeAttribute(name);
  });
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  return `${new XMLSerializer().serializeToString(copy)}\n`;
}
