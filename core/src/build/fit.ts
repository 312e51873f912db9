/** One end that meets another: its true diameters, m. */
export interface FitEnd {
  readonly inside: number;
  readonly outside: number;
  /** A hose or cuff: it stretches a little over what goes into it. */
  readonly isFlexible: boolean;
}

/** What closes the joint of two ends. */
export type Closing =
  /** They hold as they are; screws or a wrap of tape outside keep them. */
  | { readonly kind: 'nothing' }
  | { readonly kind: 'clamp' }
  | { readonly kind: 'tape'; readonly turns: number }
  /** A soft strip of about this thickness, m, squeezed by a third. */
  | { readonly kind: 'gasket'; readonly thickness: number }
  /** Two ends of one size meet face to face: the coupler of that pipe. */
  | { readonly kind: 'coupler' }
  | { readonly kind: 'reducer' }
  | { readonly kind: 'adapter' };

export interface Fit {
  /** Which goes inside the other; neither: they cannot. */
  readonly inside: 'upstream' | 'downstream' | 'neither';
  /** Across, m: what the outer one is wider; negative where it stretches. Null where neither goes in. */
  readonly gap: number | null;
  readonly closing: Closing;
}

/** A rigid end goes into one this much narrower with a push, m: common practice, no source. */
export const PUSH = 0.3e-3;
/** A hose stretches by this share of its inside: common practice, no source. */
export const STRETCH = 0.02;
/** Up to this gap across, two rigid ends hold as they are, m. */
export const SNUG = 0.4e-3;
/** Sizes in m are off by so little when they are subtracted. */
const ROUNDING = 1e-9;
/** A clamp draws a hose in by this share. */
const DRAWN = 0.02;
/** Nobody winds more. */
export const MOST_TURNS = 12;
/** A strip thicker than this leaves the joint loose, m. */
export const THICKEST_GASKET = 8e-3;
/** Squeezed to two thirds it seals. */
const SQUEEZED = 2 / 3;
/** A change of size a shop buys a reducer for, of the larger diameter. */
const REDUCED = 0.1;

/**
 * How two ends fit by their true diameters: which goes inside which, the gap, and what closes it.
 * With the air (upstream inside downstream, so that chips meet no edge) where both ways would do.
 *
 * @param tape thickness, m
 * @example // a 4.215-in. pipe out of a port of 4.25 in. inside: tape to fill 0.44 mm on each side
 */
export function fitEnds(upstream: FitEnd, downstream: FitEnd, tape: number): Fit {
  const forward = gapOf(upstream, downstream);
  const isForward = forward !== null;
  const gap = forward ?? gapOf(downstream, upstream);
  if (gap === null) return { inside: 'neither', gap, closing: bridging(upstream, downstream) };
  const outer = isForward ? downstream : upstream;
  const closing = closingOf(gap, outer, tape);
  if (closing.kind === 'adapter') {
    return { inside: 'neither', gap: null, closing: bridging(upstream, downstream) };
  }
  return { inside: isForward ? 'upstream' : 'downstream', gap, closing };
}

/** How much wider `outer` is than what goes into it; null where it cannot. */
function gapOf(inner: FitEnd, outer: FitEnd): number | null {
  const gap = outer.inside - inner.outside;
  const give = outer.isFlexible ? STRETCH * outer.inside : PUSH;
  // A hose is not pushed into anything: it has no end that would hold there.
  return inner.isFlexible || gap < -give - ROUNDING ? null : gap;
}

function closingOf(gap: number, outer: FitEnd, tape: number): Closing {
  if (outer.isFlexible && gap <= DRAWN * outer.inside) return { kind: 'clamp' };
  if (!outer.isFlexible && gap <= SNUG) return { kind: 'nothing' };
  const side = gap / 2;
  const turns = Math.max(1, Math.round(side / tape));
  if (turns <= MOST_TURNS) return { kind: 'tape', turns };
  const thickness = side / SQUEEZED;
  return thickness <= THICKEST_GASKET ? { kind: 'gasket', thickness } : { kind: 'adapter' };
}

/** What goes between two ends that cannot go into each other. */
function bridging(upstream: FitEnd, downstream: FitEnd): Closing {
  const larger = Math.max(upstream.inside, downstream.inside);
  const differ = Math.abs(upstream.inside - downstream.inside);
  const isOneSize =
    !upstream.isFlexible &&
    !downstream.isFlexible &&
    differ < 2 * SNUG &&
    Math.abs(upstream.outside - downstream.outside) < 2 * SNUG;
  if (isOneSize) return { kind: 'coupler' };
  return { kind: differ > REDUCED * larger ? 'reducer' : 'adapter' };
}
