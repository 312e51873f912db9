import { drawingAsSvg } from './save-drawing';

/** Scales drawings are made to. */
const SCALES = [10, 20, 25, 50, 75, 100, 150, 200, 300, 500] as const;
/** What prints on both A4 and Letter, on its longer side and across, mm. */
const SHEET = { long: 250, short: 185 } as const;
/** Length of the check ruler, mm. */
const RULER = 100;

/** The largest scale at which so many metres by so many fit a sheet, whichever way it lies. */
export function printScale(width: number, height: number): number {
  const [long, short] = [Math.max(width, height), Math.min(width, height)];
  const fits = (scale: number) =>
    (1000 * long) / scale <= SHEET.long && (1000 * short) / scale <= SHEET.short;
  return SCALES.find(fits) ?? SCALES[SCALES.length - 1] ?? 500;
}

/** A ruler in true millimetres, to be held against one on the print. */
export function checkRuler(): string {
  const ticks = Array.from({ length: RULER / 10 + 1 }, (_, i) => {
    const long = i % 5 === 0 ? 5 : 3;
    return `<line x1="${i * 10}" y1="0" x2="${i * 10}" y2="${long}"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${RULER + 2}mm" height="7mm" viewBox="-1 -1 ${RULER + 2} 7" stroke="#22201c" stroke-width="0.3"><line x1="0" y1="0" x2="${RULER}" y2="0"/>${ticks.join('')}</svg>`;
}

/** The page that is printed: the drawing at its scale, what it is, and the ruler. */
function printPage(drawing: SVGSVGElement, metresPerPixel: number, name: string): string {
  const [width, height] = [drawing.clientWidth, drawing.clientHeight];
  const scale = printScale(width * metresPerPixel, height * metresPerPixel);
  const isWide = width > height;
  const svg = drawingAsSvg(drawing, metresPerPixel, scale);
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${name} 1 to ${scale}</title><style>@page{size:${isWide ? 'landscape' : 'portrait'};margin:10mm}body{margin:0;font:10pt sans-serif;color:#22201c}p{margin:2mm 0}</style></head><body>${svg}<p>${name}, 1 to ${scale}. Printed at 100 %, this ruler is ${RULER} mm long:</p>${checkRuler()}</body></html>`;
}

/** Prints a drawing to scale, by the browser's own dialog. */
export function printDrawing(drawing: SVGSVGElement, metresPerPixel: number, name: string): void {
  const frame = document.createElement('iframe');
  frame.title = `${name} to print`;
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0;visibility:hidden';
  frame.srcdoc = printPage(drawing, metresPerPixel, name);
  frame.onload = () => {
    const window = frame.contentWindow;
    if (!window) return;
    window.onafterprint = () => frame.remove();
    window.print();
  };
  document.body.append(frame);
}
