/** An estimate of a stored shop that was put in from this program's old defaults, and follows its new ones. */
export interface Renewal {
  readonly kind: 'separator' | 'filter' | 'blower';
  /** The candidate it belongs to by name; null: the collector that stands there. */
  readonly candidate: string | null;
}
