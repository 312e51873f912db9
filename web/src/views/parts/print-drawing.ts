import { fromSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { checkRuler } from '@frank-gauge/core/routing';
import { drawingAsSvg } from './save-drawing';

/** Scales drawings are made to. */
const SCALES = [10, 20, 25, 50, 75, 100, 150, 200, 300, 500] as const;
/** What prints on both A4 and Letter, on its longer side and across, mm. */
const SHEET = { long: 250, short: 185 } as const;
/** From one tick of the check ruler to the next, mm, and from one long tick to the next, in ticks. */
const TICKS = { us: { apart: 25.4 / 4, long: 4 }, metric: { apart: 10, long: 5 } } as const;

/** The largest scale at which so many metres by so many fit a sheet, whichever way it lies. */
export function printScale(width: number, height: number): number {
  const [long, short] = [Math.max(width, height), Math.min(width, height)];
  const fits = (scale: number) =>
    (1000 * long) / scale <= SHEET.long && (1000 * short) / scale <= SHEET.short;
  return SCALES.find(fits) ?? SCALES[SCALES.length - 1] ?? 500;
}

/** A ruler at true size, to be held against one on the print. */
export function drawnRuler(units: UnitSystem): string {
  const length = fromSI(checkRuler(units).length, 'mm');
  const { apart, long } = TICKS[units];
  const ticks = Array.from({ length: Math.round(length / apart) + 1 }, (_, i) => {
    const x = Number((i * apart).toFixed(2));
    return `<line x1="${x}" y1="0" x2="${x}" y2="${i % long === 0 ? 5 : 3}"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${length + 2}mm" height="7mm" viewBox="-1 -1 ${length + 2} 7" stroke="#22201c" stroke-width="0.3"><line x1="0" y1="0" x2="${length}" y2="0"/>${ticks.join('')}</svg>`;
}

/** The page that is printed: the drawing at its scale, what it is, and the ruler. */
function printPage(
  drawing: SVGSVGElement,
  metresPerPixel: number,
  name: string,
  units: UnitSystem,
): string {
  const [width, height] = [drawing.clientWidth, drawing.clientHeight];
  const scale = printScale(width * metresPerPixel, height * metresPerPixel);
  const isWide = width > height;
  const svg = drawingAsSvg(drawing, metresPerPixel, scale);
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${name} 1 to ${scale}</title><style>@page{size:${isWide ? 'landscape' : 'portrait'};margin:10mm}body{margin:0;font:10pt sans-serif;color:#22201c}p{margin:2mm 0}</style></head><body>${svg}<p>${name}, 1 to ${scale}. Printed at 100 %, this ruler is ${checkRuler(units).text} long:</p>${drawnRuler(units)}</body></html>`;
}

/** Prints a drawing to scale, by the browser's own dialog. */
export function printDrawing(
  drawing: SVGSVGElement,
  metresPerPixel: number,
  name: string,
  units: UnitSystem,
): void {
  const frame = document.createElement('iframe');
  frame.title = `${name} to print`;
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0;visibility:hidden';
  frame.srcdoc = printPage(drawing, metresPerPixel, name, units);
  frame.onload = () => {
    const window = frame.contentWindow;
    if (!window) return;
    window.onafterprint = () => frame.remove();
    window.print();
  };
  document.body.append(frame);
}
