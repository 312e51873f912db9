// Pipe sizes, outside × wall in inches, ASTM D2729, D3034 SDR 35 and D1785 schedule 40; metric spiral
// duct EN 1506 (all from memory). What fits into what follows from them.
import { describe, expect, it } from 'vitest';
import { bandChain } from '../src/build/band-chain';
import { type FitEnd, fitEnds } from '../src/build/fit';
import { PIPES, pipeOutside, sizeOf } from '../src/duct/pipes';
import { fromSI, toSI } from '../src/quantity/units';

const TAPE = 0.18e-3;
const rigid = (inside: number, outside: number): FitEnd => ({
  inside: toSI(inside, 'in'),
  outside: toSI(outside, 'in'),
  isFlexible: false,
});
const hose = (inside: number): FitEnd => ({ ...rigid(inside, inside + 0.12), isFlexible: true });

describe('outside diameters by the standards', () => {
  it.each([
    ['drain', '4 in.', 4.215, 0.075],
    ['drain', '6 in.', 6.275, 0.1],
    ['sewer', '4 in.', 4.215, 0.12],
    ['sewer', '6 in.', 6.275, 0.18],
    ['schedule40', '4 in.', 4.5, 0.237],
    ['schedule40', '6 in.', 6.625, 0.28],
  ] as const)('%s %s: %f × %f in.', (pipe, nominal, outside, wall) => {
    const size = PIPES[pipe].sizes.find((each) => each.nominal === nominal);
    expect(fromSI(size?.outside ?? 0, 'in')).toBeCloseTo(outside, 9);
    expect(fromSI((size?.outside ?? 0) - (size?.inside ?? 0), 'in')).toBeCloseTo(2 * wall, 9);
    expect(pipeOutside(pipe, size?.inside ?? 0)).toBe(size?.outside);
  });

  it('ventilation plastic is named by the outside of its spigots', () => {
    expect(PIPES.ventilation.sizes.map(({ outside }) => outside)).toEqual([0.1, 0.125, 0.15]);
  });

  it('a diameter that is no size has the wall of the nearest', () => {
    const odd = toSI(4.9, 'in');
    expect(sizeOf('drain', odd)).toBeNull();
    expect(pipeOutside('drain', odd) - odd).toBeCloseTo(toSI(2 * 0.075, 'in'), 9);
  });
});

describe('what fits into what', () => {
  it('a nominal 5 in. port of 4¾ in. inside takes no 5-in. duct', () => {
    const port = rigid(4.75, 4.87);
    const duct = rigid(5, 5.05);
    expect(fitEnds(port, duct, TAPE)).toMatchObject({
      inside: 'upstream',
      closing: { kind: 'tape' },
    });
    // The other way round the duct would have to stretch.
    const into = fitEnds(duct, port, TAPE);
    expect(into.inside).toBe('downstream');
  });

  it('worked by hand: 4.215 into 4.25 in. leaves 0.44 mm on each side, two turns of 0.18 mm', () => {
    const fit = fitEnds(rigid(4.065, 4.215), rigid(4.25, 4.4), TAPE);
    expect(fit.gap).toBeCloseTo(toSI(0.035, 'in'), 9);
    expect(fit).toMatchObject({ inside: 'upstream', closing: { kind: 'tape', turns: 2 } });
  });

  it('drain and sewer pipe of one outside meet in a coupler of that size', () => {
    const drain = rigid(6.075, 6.275);
    expect(fitEnds(drain, drain, TAPE)).toMatchObject({
      inside: 'neither',
      closing: { kind: 'coupler' },
    });
  });

  it('a hose goes over a spigot and is clamped; too tight it stretches, then refuses', () => {
    expect(fitEnds(rigid(3.9, 4), hose(4), TAPE)).toMatchObject({
      inside: 'upstream',
      closing: { kind: 'clamp' },
    });
    expect(fitEnds(rigid(3.9, 4.06), hose(4), TAPE).closing.kind).toBe('clamp');
    expect(fitEnds(rigid(4.065, 4.215), hose(4), TAPE)).toMatchObject({
      inside: 'neither',
      closing: { kind: 'adapter' },
    });
    // A hose never goes inside anything.
    expect(fitEnds(hose(4), rigid(6, 6.1), TAPE).inside).toBe('neither');
  });

  it('more than a dozen turns ask for a gasket, more than that for an adapter or a reducer', () => {
    const wide = (inside: number) => fitEnds(rigid(4, 4.1), rigid(inside, inside + 0.1), TAPE);
    expect(wide(4.2).closing.kind).toBe('tape');
    const gasket = wide(4.4).closing;
    expect(gasket.kind).toBe('gasket');
    // 3.8 mm on each side, squeezed to two thirds.
    expect(gasket.kind === 'gasket' && gasket.thickness).toBeCloseTo(toSI(0.15, 'in') * 1.5, 9);
    expect(wide(6).closing.kind).toBe('reducer');
    expect(wide(4.09).inside).toBe('upstream');
  });

  it('goes with the air where both ways would do', () => {
    // Sheet so thin that either end could be pushed into the other.
    const foil = rigid(4, 4.005);
    expect(fitEnds(foil, foil, TAPE)).toMatchObject({
      inside: 'upstream',
      closing: { kind: 'nothing' },
    });
  });
});

describe('band clamps in a chain', () => {
  // Common practice, no source: the lengths have to add to more than π × the outside diameter.
  it('an 18½-in. canister, 58.1 in. around, by the fewest bands and the least over', () => {
    const chain = bandChain(
      toSI(18.5, 'in'),
      [24, 36, 14].map((length) => toSI(length, 'in')),
    );
    if (!chain.ok) throw new Error(chain.reason);
    expect(chain.bands.map((band) => Math.round(fromSI(band, 'in')))).toEqual([36, 24]);
    expect(fromSI(chain.over, 'in')).toBeCloseTo(60 - Math.PI * 18.5, 6);
  });

  it('says when there are none, or none long enough', () => {
    expect(bandChain(0.5, [])).toMatchObject({ ok: false, reason: 'no bands' });
    expect(bandChain(0.5, [0.05])).toMatchObject({ ok: false, reason: 'too short' });
  });
});
