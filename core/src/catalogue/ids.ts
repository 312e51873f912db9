/**
 * Names of everything a shop is built from, as its document writes them. Here once: the schema takes
 * these and no others, and each table has to have a row for every one (`satisfies Record<…Id, …>`), so
 * that an id added here is refused nowhere and forgotten nowhere.
 */

export const PIPE_IDS = [
  'galvanised',
  'snapLock',
  'spiralMetric',
  'drain',
  'sewer',
  'schedule40',
  'ventilation',
  'aluminium',
  'average',
] as const;
export type PipeId = (typeof PIPE_IDS)[number];

export const HOSE_IDS = ['ribbed', 'smooth'] as const;
export type HoseId = (typeof HOSE_IDS)[number];

export const ELBOW_STYLE_IDS = [
  'smooth',
  'fivePiece',
  'fourPiece',
  'threePiece',
  'adjustable',
  'drain',
  'mitred',
] as const;
export type ElbowStyle = (typeof ELBOW_STYLE_IDS)[number];

export const SEPARATOR_KINDS = ['none', 'cyclone', 'baffle', 'lid'] as const;
export type SeparatorKind = (typeof SEPARATOR_KINDS)[number];

export const PLUG_IDS = [
  'wired',
  'us15',
  'us20',
  'us15at240',
  'us20at240',
  'usLock30',
  'uk13',
  'eu16',
  'blue16',
  'blue32',
] as const;
export type PlugId = (typeof PLUG_IDS)[number];

/** How soon a surge trips a breaker. */
export const TRIP_IDS = ['unknown', 'B', 'C', 'D'] as const;
export type TripId = (typeof TRIP_IDS)[number];

/** Minimum efficiency reporting values of filters. */
export const GRADE_IDS = [8, 11, 13, 14, 15, 16] as const;
export type GradeId = (typeof GRADE_IDS)[number];

/** Ends of a duct outdoors. */
export const DUCT_END_IDS = ['open', 'cap', 'lowCap', 'flap', 'louvre'] as const;
export type DuctEndId = (typeof DUCT_END_IDS)[number];

/** How duct, hose and fittings take pressure, and how junctions do. */
export const FRICTION_METHODS = ['darcy', 'powerFit', 'equivalentFeet'] as const;
export type FrictionMethod = (typeof FRICTION_METHODS)[number];
export const JUNCTION_METHODS = ['momentum', 'handbook'] as const;
export type JunctionMethod = (typeof JUNCTION_METHODS)[number];
