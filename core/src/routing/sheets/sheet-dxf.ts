import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { oneLine } from '../../document/one-line';
import type { Spot } from '../../room/plane';
import { SHEET_LAYERS, type SheetItem } from './sheet';

const MILLIMETRES = 1000;

/**
 * A sheet as a DXF drawing in millimetres, one to one, each layer named by what it holds. The format gives each
 * line a meaning: names are put on one.
 */
export function sheetDxf(items: readonly SheetItem[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const used = new Set(items.map(({ layer }) => layer));
  for (const layer of used) {
    const { name, color } = SHEET_LAYERS[layer];
    dxf.addLayer(name, color, 'CONTINUOUS');
  }
  const flat = ({ x, y }: Spot) => point3d(x * MILLIMETRES, y * MILLIMETRES, 0);
  for (const item of items) {
    const on = { layerName: SHEET_LAYERS[item.layer].name };
    switch (item.kind) {
      case 'text':
        dxf.addText(flat(item.at), item.size * MILLIMETRES, oneLine(item.text), on);
        break;
      case 'circle':
        dxf.addCircle(flat(item.at), item.radius * MILLIMETRES, on);
        break;
      case 'line': {
        const [from, to, ...more] = item.points;
        if (from && to && more.length === 0) dxf.addLine(flat(from), flat(to), on);
        else {
          dxf.addLWPolyline(
            item.points.map(({ x, y }) => ({ point: point2d(x * MILLIMETRES, y * MILLIMETRES) })),
            { flags: item.isClosed ? LWPolylineFlags.Closed : LWPolylineFlags.None, ...on },
          );
        }
      }
    }
  }
  return dxf.stringify();
}
