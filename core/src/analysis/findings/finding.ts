import type { ClampedValue } from '../../quantity/valid-range';
import type { ProfileStep } from '../pressure-profile';

/** Serious: it harms, trips or starves. Caution: it will cost. Note: worth knowing. */
export type Severity = 'serious' | 'caution' | 'note';

export type CollectorPart = 'inlet' | 'blower' | 'motor' | 'filter' | 'exhaust';

export type Where =
  | { readonly kind: 'drop'; readonly drop: string }
  | { readonly kind: 'run'; readonly run: string }
  | { readonly kind: 'collector'; readonly part: CollectorPart };

/** What to do about it, with what it is worth where that is computed; SI. */
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
        | 'sweep both legs'
        | 'finer filter'
        | 'let air in';
    };

interface FindingOf<Kind extends string, Numbers> {
  readonly kind: Kind;
  readonly severity: Severity;
  readonly where: Where;
  /** SI. */
  readonly numbers: Readonly<Numbers>;
  readonly remedy: Remedy | null;
}

/** What is wrong, as data: the words are the screen's business. */
export type Finding =
  | (FindingOf<'starved', { short: number; flow: number; need: number; share: number }> & {
      /** What takes most on its way; `share` is its part of the blower's pressure. */
      readonly largest: ProfileStep | null;
    })
  | FindingOf<'slow drop', { velocity: number; wanted: number }>
  | FindingOf<'settling main', { velocity: number; wanted: number }>
  | FindingOf<'fast duct', { velocity: number; limit: number }>
  | FindingOf<'long hose', { length: number; limit: number; loss: number }>
  | FindingOf<'elbow at the inlet', { straight: number; wanted: number; loss: number }>
  | FindingOf<'close elbows', { straight: number; wanted: number }>
  | FindingOf<'head-on tee', { angle: number; loss: number }>
  | FindingOf<'against the flow', { angle: number; taken: number }>
  | (FindingOf<'outside its range', { given: number; used: number }> & {
      readonly clamped: ClampedValue;
    })
  | FindingOf<'leak-prone', { leak: number; share: number }>
  | FindingOf<'pressure-side leak', { leak: number }>
  | FindingOf<
      'small circuit',
      { breaker: number; wanted: number; fullLoad: number; largest: number | null }
    >
  | FindingOf<'large breaker', { breaker: number; largest: number; fullLoad: number }>
  | FindingOf<'small plug', { carries: number; fullLoad: number }>
  | FindingOf<'plug of another voltage', { plug: number; motor: number }>
  | FindingOf<'hard start', { start: number; least: number }>
  | FindingOf<'overloaded motor', { power: number; rated: number; current: number; plate: number }>
  | FindingOf<'small filter', { faceVelocity: number; comfortable: number }>
  | FindingOf<'filter due', { loading: number; due: number; pressure: number; clean: number }>
  | FindingOf<'coarse filter', { letBy: number }>
  | FindingOf<'fast return', { faceVelocity: number; limit: number }>
  | FindingOf<'air leaves the building', { flow: number; opening: number; heat: number | null }>
  | FindingOf<'small way back', { depression: number; limit: number }>
  | FindingOf<'choked blower', { flow: number; best: number }>
  | FindingOf<'run-out blower', { flow: number; best: number }>
  | FindingOf<'several operating points', { flow: number; other: number }>;

export type FindingKind = Finding['kind'];

/** What a finding is known by as long as the shop has it: its kind, and where it is. */
export function issueOf({ kind, where }: Pick<Finding, 'kind' | 'where'>): string {
  switch (where.kind) {
    case 'drop':
      return `${kind} drop ${where.drop}`;
    case 'run':
      return `${kind} run ${where.run}`;
    case 'collector':
      return `${kind} ${where.part}`;
  }
}
