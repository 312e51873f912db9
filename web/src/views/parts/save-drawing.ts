import { saveFile } from '@/storage/save-file';

/** Colours of the drawing on paper, whatever the theme on screen is. */
const PAPER: Readonly<Record<string, string>> = {
  '--ink': '#22201c',
  '--paper': '#ffffff',
  '--strip': '#f1ede4',
  '--selection': '#ffffff',
  '--quiet': '#625c52',
  '--rule': '#cfc7b6',
  '--air': '#3c5873',
  '--enough': '#2f6f73',
  '--starved': '#c8452d',
  '--starved-text': '#a83520',
};

/** What XML has no place for: signs that cannot be seen, and halves of one. */
const NO_XML = /[^\t\n\r\u{20}-\u{d7ff}\u{e000}-\u{fffd}\u{10000}-\u{10ffff}]/gu;

/**
 * A drawing on the screen as an SVG file of its own: colours written out, at its true size on paper
 * `scale` says for how many in the shop one on paper stands, `metresPerPixel` how long a pixel is.
 */
export function drawingAsSvg(
  drawing: SVGSVGElement,
  metresPerPixel: number,
  scale: number,
): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const [width, height] = [drawing.clientWidth, drawing.clientHeight];
  const millimetres = (pixels: number) => ((pixels * metresPerPixel * 1000) / scale).toFixed(1);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('viewBox', `0 0 ${width} ${height}`);
  copy.setAttribute('width', `${millimetres(width)}mm`);
  copy.setAttribute('height', `${millimetres(height)}mm`);
  copy.setAttribute('font-family', 'Barlow Semi Condensed, Arial Narrow, sans-serif');
  for (const element of copy.querySelectorAll('[class], [role], [tabindex]')) {
    for (const name of ['class', 'tabindex', 'aria-pressed']) element.removeAttribute(name);
  }
  copy.removeAttribute('class');
  const text = new XMLSerializer().serializeToString(copy);
  const whole = text.replace(NO_XML, ' ');
  return whole.replace(/var\((--[a-z-]+)\)/g, (_, name: string) => PAPER[name] ?? '#000000');
}

/** Saves a drawing under its name and scale: `plan 1 to 50.svg`. */
export const saveDrawing = (
  drawing: SVGSVGElement,
  metresPerPixel: number,
  name: string,
  scale: number,
): void =>
  saveFile(
    `${name} 1 to ${scale}.svg`,
    drawingAsSvg(drawing, metresPerPixel, scale),
    'image/svg+xml',
  );
