import { solveRequest } from '@frank-gauge/core/api';
import { type ApiResponse, refusal } from './respond';

/** A larger answer is not given, in signs. */
const LONGEST_ANSWER = 20_000_000;

/**
 * Solves the request that a text is, in a thread of its own: 400 where it is no JSON, 422 with what is wrong
 * in it or where the answer would be longer than 20 MB.
 */
export function solve(text: string): ApiResponse {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    const why = error instanceof Error ? error.message.slice(0, 200) : '';
    return refusal(400, `The request is not JSON (${why}).`);
  }
  const solved = solveRequest(json);
  if (!solved.ok) return refusal(422, solved.error, solved.faults);
  const body = JSON.stringify(solved.response);
  if (body.length > LONGEST_ANSWER) {
    return refusal(422, 'The answer is longer than 20 MB. Ask for less at once.');
  }
  return { status: 200, body };
}
