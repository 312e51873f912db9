/** What `/api/solve` takes and says, and where every coefficient comes from. */

export { requestSchema, type SolveRequest } from '../src/api/request';
export {
  describeSolution,
  type SolutionDocument,
  solutionSchema,
} from '../src/api/solution-document';
export {
  type SolveOutcome,
  type SolveResponse,
  solveRequest,
} from '../src/api/solve-request';
export { coefficientGroups } from '../src/sources/coefficients';
