/** What a drawing's style sheet says of its parts, and a file has to say itself. */
const properties = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'font-size',
  'font-weight',
  'font-family',
  'text-anchor',
  'dominant-baseline',
  'paint-order',
] as const;

/** What is left out, because it is what SVG takes anyway. */
const plain: ReadonlySet<string> = new Set(['none 1 1', 'normal', 'auto', 'butt', 'miter']);

/**
 * A drawing of the page as an SVG file of its own (SVG 1.1): what its style sheet and the colours of day and night say is
 * written into its parts, on the paper it stands on.
 * @param paper the colour behind it
 */
export function standAlone(drawing: SVGSVGElement, paper: string): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const parts = [drawing, ...drawing.querySelectorAll<SVGElement>('*')];
  const copies = [copy, ...copy.querySelectorAll<SVGElement>('*')];
  for (const [index, part] of parts.entries()) {
    const style = getComputedStyle(part);
    const own = copies[index]!;
    own.removeAttribute('class');
    own.removeAttribute('style');
    own.removeAttribute('tabindex');
    for (const name of properties) {
      const value = style.getPropertyValue(name);
      if (value && !plain.has(value)) own.setAttribute(name, value);
    }
  }
  const { width, height } = drawing.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const { x, y } = drawing.viewBox.baseVal;
  const sheet = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [name, value] of Object.entries({ x, y, width, height, fill: paper }))
    sheet.setAttribute(name, String(value));
  copy.prepend(sheet);
  const label = drawing.getAttribute('aria-label');
  if (label) {
    const title = document.createElementNS('http://www.w3.org/2000/svg', 'title');
    title.textContent = label;
    copy.prepend(title);
  }
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}
