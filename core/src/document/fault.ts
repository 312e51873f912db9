import type { z } from 'zod';

/** What is wrong with a document, and where: `path` in dots, '' for the whole. */
export interface Fault {
  readonly path: string;
  readonly message: string;
}

/** No more faults than this are listed, of however many. */
export const MOST_FAULTS = 20;

export const dotted = (path: readonly PropertyKey[]): string => path.map(String).join('.');

type Issue = z.core.$ZodIssue;

/** Over a limit, or under it; of a list or a text, what there is too much or too little of. */
function beyond(issue: Extract<Issue, { code: 'too_big' | 'too_small' }>): string {
  const limit = issue.code === 'too_big' ? issue.maximum : issue.minimum;
  const isBig = issue.code === 'too_big';
  switch (issue.origin) {
    case 'string':
      return limit === 1 && !isBig ? 'it is empty' : `${limit} letters are the ${most(isBig)}`;
    case 'array':
      return limit === 1 && !isBig
        ? 'the list is empty'
        : `${limit} of them are the ${most(isBig)}`;
    default:
      if (issue.inclusive) return `${limit} is the ${most(isBig)}`;
      return `it has to be ${isBig ? 'less' : 'more'} than ${limit}`;
  }
}

const most = (isBig: boolean) => (isBig ? 'most' : 'least');

const quoted = (values: readonly unknown[]) => values.map((value) => `“${value}”`).join(', ');

/** What a schema finds wrong, in words; numbers are SI, as the document has them. */
function sentenceOf(issue: Issue): string {
  switch (issue.code) {
    case 'too_big':
    case 'too_small':
      return /^Too (?:big|small)/.test(issue.message) ? beyond(issue) : lowered(issue.message);
    case 'unrecognized_keys':
      return `${quoted(issue.keys)} has no meaning here`;
    case 'invalid_value':
      return issue.values.length === 1
        ? `it has to be ${quoted(issue.values)}`
        : `it has to be one of ${quoted(issue.values)}`;
    case 'invalid_type':
      return issue.message.endsWith('undefined') ? 'it is missing' : lowered(issue.message);
    default:
      return lowered(issue.message);
  }
}

const lowered = (message: string) => message.charAt(0).toLowerCase() + message.slice(1);

/** What a schema finds wrong, as far as it is listed; `under`: where what it checked stands. */
export const faultsOf = (error: z.core.$ZodError, under: readonly PropertyKey[] = []): Fault[] =>
  error.issues.slice(0, MOST_FAULTS).map((issue) => ({
    path: dotted([...under, ...issue.path]),
    message: sentenceOf(issue),
  }));
