import type { CoefficientGroup } from '../quantity/coefficient';
import { formatShort } from '../quantity/format-quantity';
import { coefficientGroups } from './coefficients';

const HEAD = `# Every coefficient, with its source and mark

Written by \`npm run docs:coefficients\` from the tables the program uses; the app shows the same under *Sources*. Published values were written down from memory until someone has the source open.

- **standard**: a published source, named
- **practice**: common in small shops, no source
- **estimate**: a modeling default, to be replaced by your own readings
`;

/** All coefficients as a Markdown document, quantities in metric units. */
export const coefficientsDocument = (): string =>
  [HEAD, ...coefficientGroups().map(section)].join('\n');

function section({ title, about, source, coefficients }: CoefficientGroup): string {
  const rows = coefficients.map(
    ({ name, value, kind, origin }) =>
      `| ${name} | ${formatShort(value, kind, 'metric')} | ${origin} |`,
  );
  return `## ${title}

${about.replace(/\.$/, '')}. Source: ${source}.

| what | value | mark |
| --- | --- | --- |
${rows.join('\n')}
`;
}
