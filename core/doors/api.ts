/** What `/api/solve` takes and says, and where every coefficient comes from. */

export { type Answer, type Answered, answer } from '../src/api/answer';
export { type AnswerRequest, requestSchema } from '../src/api/request';
export {
  describeSolution,
  type SolutionDocument,
  solutionSchema,
} from '../src/api/solution-document';
export { coefficientGroups } from '../src/sources/coefficients';
