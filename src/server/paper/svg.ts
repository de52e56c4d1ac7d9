type Attributes = Readonly<Record<string, string | number | undefined>>;

/** One element of a drawing, as text; what is undefined is left out. */
export function svgElement(name: string, attributes: Attributes, children: readonly string[] = []): string {
  const given = Object.entries(attributes)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => ` ${key}="${escaped(String(value))}"`)
    .join('');
  return children.length === 0 ? `<${name}${given}/>` : `<${name}${given}>${children.join('')}</${name}>`;
}

/** Words in a drawing. */
export const svgText = (words: string, attributes: Attributes): string =>
  svgElement('text', { 'font-family': 'Sans', ...attributes }, [escaped(words)]);

/** A whole drawing that prints without anything else. */
export const svgDrawing = (
  [x, y, width, height]: readonly [number, number, number, number],
  children: readonly string[],
): string =>
  svgElement(
    'svg',
    { xmlns: 'http://www.w3.org/2000/svg', viewBox: [x, y, width, height].join(' '), width, height },
    children,
  );

const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
