import { ABOUT_VIEWS } from '../web/src/words/about-views';

const BEGIN = '<!-- views, by npm run docs:guide -->';
const END = '<!-- end -->';

/** The guide with its section on the views written anew. */
export function guideWithViews(guide: string): string {
  const [before = '', rest = ''] = guide.split(BEGIN);
  const after = rest.slice(rest.indexOf(END));
  const views = ABOUT_VIEWS.map(({ name, purpose, first, terms }) => {
    const list = terms.map(({ term, means }) => `- **${term}**: ${means}.`).join('\n');
    return `### ${name}\n\n${purpose} ${first}\n\n${list}\n`;
  });
  return `${before}${BEGIN}\n\n${views.join('\n')}\n${after}`;
}
