import { oneLine } from '../../document/one-line';
import { inkExtent, type SheetItem } from './sheet';

const MILLIMETRES = 1000;
/** Paper around what is drawn, and width of a line, mm. */
const MARGIN = 10;
const LINE = 0.2;

const escaped = (text: string) =>
  oneLine(text).replace(/[<>&"]/g, (sign) => `&#${sign.codePointAt(0)};`);

/**
 * A sheet as an SVG picture, to scale: its width and height are in millimetres of paper, and so is what is in it.
 * @param scale paper over drawing
 */
export function sheetSvg(items: readonly SheetItem[], scale = 1): string {
  const onPaper = scale * MILLIMETRES;
  const extent = inkExtent(items) ?? { x0: 0, y0: 0, width: 0, height: 0 };
  const width = extent.width * onPaper + 2 * MARGIN;
  const height = extent.height * onPaper + 2 * MARGIN;
  const x = (value: number) => ((value - extent.x0) * onPaper + MARGIN).toFixed(3);
  // A sheet’s y goes up, a picture’s down.
  const y = (value: number) => (height - (value - extent.y0) * onPaper - MARGIN).toFixed(3);
  const drawnOf = (item: SheetItem): string => {
    switch (item.kind) {
      case 'line':
        return `<poly${item.isClosed ? 'gon' : 'line'} points="${item.points.map((spot) => `${x(spot.x)},${y(spot.y)}`).join(' ')}"/>`;
      case 'circle':
        return `<circle cx="${x(item.at.x)}" cy="${y(item.at.y)}" r="${(item.radius * onPaper).toFixed(3)}"/>`;
      case 'text':
        return `<text x="${x(item.at.x)}" y="${y(item.at.y)}" font-size="${(item.size * onPaper).toFixed(2)}" stroke="none" fill="black" text-anchor="middle" font-family="sans-serif">${escaped(item.text)}</text>`;
    }
  };
  const size = `width="${width.toFixed(3)}mm" height="${height.toFixed(3)}mm" viewBox="0 0 ${width.toFixed(3)} ${height.toFixed(3)}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} fill="none" stroke="black" stroke-width="${LINE}">\n${items.map(drawnOf).join('\n')}\n</svg>\n`;
}
