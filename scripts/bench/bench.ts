/** What a benchmark found: lines for whoever looks, figures by name for whoever compares. */
export interface Bench {
  readonly lines: readonly string[];
  readonly figures: Readonly<Record<string, Readonly<Record<string, number>>>>;
}
