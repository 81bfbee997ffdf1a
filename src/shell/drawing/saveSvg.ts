/** What a drawing looks like once the page's own style is not there. */
const LOOK = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-opacity',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'font-style',
  'text-anchor',
] as const;

const XMLNS = 'http://www.w3.org/2000/svg';

/** A picture of the house as data, so that the file needs nothing beside it. */
async function asData(address: string): Promise<string> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`the picture in it did not come (${answer.status})`);
  const blob = await answer.blob();
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(new Error('the picture in it cannot be read'));
    reader.readAsDataURL(blob);
  });
}

/**
 * A drawing of the page as a file of its own (SVG 1.1): looks and pictures stand in it, nothing
 * of it answers to a press, and what it shows stands in words (`title`, `desc`).
 */
export async function svgFile(
  drawn: SVGSVGElement,
  title: string,
  said: string,
): Promise<string> {
  const own = drawn.cloneNode(true) as SVGSVGElement;
  const [from, to] = [drawn, own].map((svg) => [svg, ...svg.querySelectorAll('*')]);
  for (const [i, part] of from!.entries()) {
    const copy = to![i]!;
    const style = getComputedStyle(part);
    copy.removeAttribute('class');
    copy.removeAttribute('style');
    for (const name of LOOK) {
      const value = style.getPropertyValue(name);
      if (value !== '') copy.setAttribute(name, value);
    }
    const href = copy.localName === 'image' ? copy.getAttribute('href') : null;
    if (href !== null && !href.startsWith('data:'))
      copy.setAttribute('href', await asData(href));
  }
  const { width, height } = drawn.viewBox.baseVal;
  own.setAttribute('xmlns', XMLNS);
  own.setAttribute('width', String(width));
  own.setAttribute('height', String(height));
  own.removeAttribute('role');
  own.removeAttribute('aria-label');
  for (const [name, words] of [
    ['desc', said],
    ['title', title],
  ] as const) {
    const element = document.createElementNS(XMLNS, name);
    element.textContent = words;
    own.prepend(element);
  }
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(own)}`;
}

/** Saves a text as a file, as the browser saves files. */
export function saveAs(text: string, type: string, name: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser has taken it by then; the memory of it is let go.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
