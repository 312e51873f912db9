import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { checkRuler } from '../../routing/sheets/check-ruler';
import { sheetDxf } from '../../routing/sheets/sheet-dxf';
import { sheetSvg } from '../../routing/sheets/sheet-svg';
import { templateSheets } from './template-sheets';
import { wrapTemplates } from './wrap-templates';

const made = wrapTemplates({
  ...{ pipe: 0.1524, drum: 0.58, wall: 0.001, offset: 0.2138, angle: Math.PI / 2 },
  ends: 'outside',
});
if (!made.ok) throw new Error(made.fault.kind);
const { around, pipe } = made.templates;
const sheets = templateSheets(made.templates, {
  pipe: 'around the pipe',
  hole: 'hole',
  ruler: checkRuler('metric'),
});

describe('a template on paper', () => {
  it('reads back from its SVG at true size: the way around the pipe, and a ruler of 100 mm', () => {
    const svg = sheetSvg(sheets.pipe);
    const [, width = '', box = ''] =
      /width="([\d.]+)mm" height="[\d.]+mm" viewBox="0 0 ([\d.]+) /.exec(svg) ?? [];
    // One unit of the picture is a millimetre of paper.
    expect(width).toBe(box);
    const xs = (points: string) => points.split(' ').map((each) => Number(each.split(',')[0]));
    const [outline = ''] = [...svg.matchAll(/<polygon points="([^"]+)"/g)].map(
      ([, all = '']) => all,
    );
    const across = Math.max(...xs(outline)) - Math.min(...xs(outline));
    expect(across).toBeCloseTo(around.pipe * 1000, 2);
    expect(across).toBeCloseTo(Math.PI * 152.4, 2);
    const rulers = [...svg.matchAll(/<polyline points="([^"]+)"/g)].map(([, all = '']) => xs(all));
    expect(rulers.some((own) => Math.abs(Math.max(...own) - Math.min(...own) - 100) < 1e-3)).toBe(
      true,
    );
  });

  it('reads back from its DXF in millimetres, what is cut on a layer of its own', () => {
    const read = new DxfParser().parseSync(sheetDxf(sheets.pipe));
    const cut = read?.entities.find(({ layer }) => layer === 'CUT') as unknown as {
      vertices: { x: number; y: number }[];
    };
    expect(cut.vertices).toHaveLength(pipe.length);
    const across =
      Math.max(...cut.vertices.map(({ x }) => x)) - Math.min(...cut.vertices.map(({ x }) => x));
    expect(across).toBeCloseTo(around.pipe * 1000, 3);
  });

  it('writes no markup of what is written on it', () => {
    const odd = templateSheets(made.templates, {
      pipe: '<b>&"',
      hole: '',
      ruler: checkRuler('us'),
    });
    expect(sheetSvg(odd.pipe)).toContain('&#60;b&#62;&#38;&#34;');
  });
});
