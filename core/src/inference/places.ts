import type { CollectorFaultKind, Fault } from './faults';

/** A fault with how likely the readings make it, and how much of it they say there is. */
export interface Suspect {
  readonly fault: Fault;
  readonly probability: number;
  /** Its median and the ends of its 90 % interval, in the fault's own measure. */
  readonly amount: number;
  readonly low: number;
  readonly high: number;
}

/** Where a fault is: what someone would go and look at. */
export type Place =
  | { readonly kind: 'run'; readonly run: string }
  | { readonly kind: 'collector'; readonly part: CollectorFaultKind }
  | { readonly kind: 'meter'; readonly meter: string };

/** A place with everything suspected there, the likeliest first. */
export interface SuspectedPlace {
  readonly place: Place;
  /** That of all its suspects together. */
  readonly probability: number;
  readonly suspects: readonly [Suspect, ...Suspect[]];
}

export function placeOfFault(fault: Fault): Place {
  if ('run' in fault) return { kind: 'run', run: fault.run };
  if (fault.kind === 'meter') return { kind: 'meter', meter: fault.meter };
  return { kind: 'collector', part: fault.kind };
}

/** A place's own name, the same for the same place. */
export function keyOfPlace(place: Place): string {
  switch (place.kind) {
    case 'run':
      return `run ${place.run}`;
    case 'collector':
      return place.part;
    case 'meter':
      return `meter ${place.meter}`;
  }
}

/** Suspects by where they are, the likeliest place first. An opening and a gate that does not shut are found by going to the same run. */
export function byPlace(suspects: readonly Suspect[]): SuspectedPlace[] {
  const places = new Map<string, SuspectedPlace>();
  for (const suspect of suspects) {
    const place = placeOfFault(suspect.fault);
    const key = keyOfPlace(place);
    const known = places.get(key);
    const all = [...(known?.suspects ?? []), suspect].sort((a, b) => b.probability - a.probability);
    const [first = suspect, ...rest] = all;
    places.set(key, {
      place,
      probability: (known?.probability ?? 0) + suspect.probability,
      suspects: [first, ...rest],
    });
  }
  return [...places.values()].sort((a, b) => b.probability - a.probability);
}
