import type { Closing, EndWhat, Fit, JointEnd } from '@frank-gauge/core/assembly';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';

const WHATS: Record<EndWhat, string> = {
  port: 'port',
  hose: 'hose',
  pipe: 'pipe',
  gate: 'gate',
  branch: 'branch',
  separatorInlet: 'separator, inlet',
  separatorOutlet: 'separator, outlet',
  coupling: 'first coupling',
  blowerInlet: 'blower, inlet',
  blowerOutlet: 'blower, outlet',
  transition: 'second coupling',
  filter: 'filter',
};

/** What an end is, and of what. */
export const endWord = ({ what, of }: JointEnd): string =>
  of === '' ? WHATS[what] : `${of}, ${WHATS[what]}`;

/** What closes a joint. */
export function closingWords(closing: Closing, system: UnitSystem): string {
  switch (closing.kind) {
    case 'nothing':
      return 'nothing: it holds as it is; tape over the seam';
    case 'clamp':
      return 'a hose clamp';
    case 'tape':
      return closing.turns === 1 ? 'one turn of tape' : `${closing.turns} turns of tape`;
    case 'gasket':
      return `foam tape, ${formatShort(closing.thickness, 'thickness', system)}`;
    case 'coupler':
      return 'a coupling';
    case 'reducer':
      return 'a reducer, or an adapter';
    case 'adapter':
      return 'an adapter';
  }
}

/** Which goes inside which. */
export const INSIDE: Record<Fit['inside'], string> = {
  upstream: 'first inside second',
  downstream: 'second inside first',
  neither: 'no fit',
};

/** A gap across, small: thousandths of an inch or tenths of a millimetre; tight where it stretches. */
export function gapWords(gap: number, system: UnitSystem): string {
  if (gap < 0) return 'tight';
  return formatShort(Math.round(gap * 1e5) / 1e5, 'thickness', system);
}
