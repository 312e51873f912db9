import type { HeldValue } from '../../quantity/valid-range';
import type { Rung } from '../pressure-ladder';

/** Serious: it harms, trips or starves. Caution: it will cost. Note: worth knowing. */
export type Severity = 'serious' | 'caution' | 'note';

export type CollectorPart = 'inlet' | 'blower' | 'motor' | 'filter' | 'exhaust';

export type Where =
  | { readonly kind: 'drop'; readonly drop: string }
  | { readonly kind: 'run'; readonly run: string }
  | { readonly kind: 'collector'; readonly part: CollectorPart };

/** What to do about it, with what it is worth where that is reckoned; SI. */
export type Remedy =
  | {
      readonly kind: 'shorter hose';
      readonly run: string;
      readonly length: number;
      /** Flow won at the drop. */
      readonly gain: number;
    }
  /** A size from the pipe's catalogue that would carry, or slow down, the present flow. */
  | { readonly kind: 'narrower' | 'wider'; readonly run: string; readonly diameter: number }
  | { readonly kind: 'straight ahead of the inlet'; readonly length: number }
  | { readonly kind: 'larger filter'; readonly area: number }
  | { readonly kind: 'larger circuit'; readonly rating: number }
  | { readonly kind: 'larger way back'; readonly area: number }
  | {
      readonly kind:
        | 'open another gate'
        | 'shut a gate'
        | 'clean the filter'
        | 'seal'
        | 'turn with the flow'
        | 'finer filter'
        | 'let air in';
    };

interface Says<Kind extends string, Numbers> {
  readonly kind: Kind;
  readonly severity: Severity;
  readonly where: Where;
  /** SI. */
  readonly numbers: Readonly<Numbers>;
  readonly remedy: Remedy | null;
}

/** What is wrong, as data: the words are the screen's business. */
export type Finding =
  | (Says<'starved', { short: number; flow: number; need: number; share: number }> & {
      /** What takes most on its way; `share` is its part of the blower's pressure. */
      readonly largest: Rung | null;
    })
  | Says<'slow drop', { velocity: number; wanted: number }>
  | Says<'settling main', { velocity: number; wanted: number }>
  | Says<'fast duct', { velocity: number; limit: number }>
  | Says<'long hose', { length: number; limit: number; loss: number }>
  | Says<'elbow at the inlet', { straight: number; wanted: number; loss: number }>
  | Says<'close elbows', { straight: number; wanted: number }>
  | Says<'against the flow', { angle: number; taken: number }>
  | (Says<'outside its range', { given: number; used: number }> & { readonly held: HeldValue })
  | Says<'leak-prone', { leak: number; share: number }>
  | Says<'pressure-side leak', { leak: number }>
  | Says<
      'small circuit',
      { breaker: number; wanted: number; fullLoad: number; largest: number | null }
    >
  | Says<'large breaker', { breaker: number; largest: number; fullLoad: number }>
  | Says<'small plug', { carries: number; fullLoad: number }>
  | Says<'plug of another voltage', { plug: number; motor: number }>
  | Says<'hard start', { start: number; least: number }>
  | Says<'overloaded motor', { power: number; rated: number; current: number; plate: number }>
  | Says<'small filter', { faceVelocity: number; comfortable: number }>
  | Says<'filter due', { loading: number; due: number; pressure: number; clean: number }>
  | Says<'coarse filter', { letBy: number }>
  | Says<'fast return', { faceVelocity: number; limit: number }>
  | Says<'air leaves the building', { flow: number; opening: number; heat: number | null }>
  | Says<'small way back', { depression: number; limit: number }>
  | Says<'choked blower', { flow: number; best: number }>
  | Says<'run-out blower', { flow: number; best: number }>
  | Says<'several crossings', { flow: number; other: number }>;

export type FindingKind = Finding['kind'];
