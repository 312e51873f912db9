import type { Renewal } from '@frank-gauge/core/journal';

const COUNTS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
] as const;

const WHAT: Record<Renewal['kind'], string> = {
  separator: 'the separator’s loss',
  filter: 'the filter’s permeability',
  blower: 'the blower’s fan curve',
};

/** 'a, b and c' */
const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** What was renewed in an older shop, in a sentence for its title and one for each collector. */
export function renewalWords(renewed: readonly Renewal[]): {
  readonly title: string;
  readonly text: string;
} {
  const count = renewed.length;
  const collectors = [...new Set(renewed.map(({ candidate }) => candidate))];
  const text = collectors
    .map((candidate) => {
      const what = listed(
        renewed.filter((each) => each.candidate === candidate).map(({ kind }) => WHAT[kind]),
      );
      return candidate === null ? `your collector: ${what}` : `“${candidate}”: ${what}`;
    })
    .join('; ');
  return {
    title: `${COUNTS[count] ?? count} ${count === 1 ? 'estimate was' : 'estimates were'} updated.`,
    text: `Readings from real shops showed that the old defaults were off. Changed in ${text}. Everything you typed or measured is unchanged.`,
  };
}
