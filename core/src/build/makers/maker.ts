import type { QuantityKind } from '../../quantity/unit-system';
import type { SectionPoint } from '../adapter';
import type { PlacedBoard } from '../boards/board';
import type { MakerPlace } from './maker-place';
import type { MakerSaying } from './sayings';

/** What a size is typed as, and between what it may lie; SI. */
export interface SizeField {
  readonly kind: QuantityKind;
  readonly min: number;
  readonly max: number;
}

/** Something bought by the piece or by length: screws, gasket, slides. */
export interface Bought {
  readonly what: MakerSaying;
  /** Pieces; or, with a kind, so much of it in SI. */
  readonly amount: number;
  readonly kind: QuantityKind | null;
}

/** What a thing has to clear or carry: a value against its limit, SI. */
export interface MakerCheck {
  readonly about: 'clear' | 'carry';
  readonly what: MakerSaying;
  readonly value: number;
  readonly limit: number;
  readonly side: 'at least' | 'at most';
  readonly kind: QuantityKind;
  readonly isMet: boolean;
}

/** A round part to print, as the half of its section. */
export interface PrintedRing {
  readonly name: string;
  readonly outline: readonly SectionPoint[];
}

/** A thing as it is to be made. Lengths in m, z up, the front toward −y. */
export interface MadeThing {
  readonly parts: readonly PlacedBoard[];
  readonly bought: readonly Bought[];
  readonly checks: readonly MakerCheck[];
  /** How to put it together, one step each. */
  readonly steps: readonly MakerSaying[];
  readonly prints?: readonly PrintedRing[];
}

export type Made<F extends string> =
  | { readonly ok: true; readonly thing: MadeThing }
  | { readonly ok: false; readonly field: F; readonly reason: MakerSaying };

/** Something to make in the shop: which sizes it takes, what they are by the assembly, and what comes of them. */
export interface Maker<F extends string> {
  readonly fields: Readonly<Record<F, SizeField>>;
  /** Sizes nobody has typed, as collector and room have them; SI. */
  usual(place: MakerPlace): Record<F, number>;
  /** Fails, naming the field and the number that would do, where it cannot be made. */
  make(sizes: Readonly<Record<F, number>>, place: MakerPlace): Made<F>;
}

/** A maker with its own names of fields known to the compiler. */
export const maker = <F extends string>(own: Maker<F>): Maker<F> => own;

export const size = (min: number, max: number): SizeField => ({ kind: 'diameter', min, max });
export const height = (min: number, max: number): SizeField => ({ kind: 'length', min, max });
export const count = (min: number, max: number): SizeField => ({ kind: 'number', min, max });

export const made = <F extends string>(thing: MadeThing): Made<F> => ({ ok: true, thing });
export const refuse = <F extends string>(field: F, reason: MakerSaying): Made<F> => ({
  ...{ ok: false, field, reason },
});

/** Sums of lengths end within this of each other, m. */
const SAME = 1e-9;

export function check(
  about: MakerCheck['about'],
  what: MakerSaying,
  value: number,
  side: MakerCheck['side'],
  limit: number,
  kind: QuantityKind = 'diameter',
): MakerCheck {
  const isMet = side === 'at least' ? value >= limit - SAME : value <= limit + SAME;
  return { about, what, value, limit, side, kind, isMet };
}

export const pieces = (what: MakerSaying, amount: number): Bought => ({ what, amount, kind: null });
export const metersOf = (what: MakerSaying, amount: number): Bought => ({
  ...{ what, amount, kind: 'length' },
});
