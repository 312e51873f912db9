import { type ApiResponse, refusal } from '@/server/respond';
import { solveApart } from '@/server/solver-pool';
import { readBody } from './read-body';

/** A larger request is refused, in bytes. */
const LARGEST = 1_000_000;

const respond = ({ status, body }: ApiResponse) =>
  new Response(body, {
    status,
    headers: {
      'Content-Type': 'application/json',
      'Cache-Control': 'no-store',
      ...(status === 503 && { 'Retry-After': '5' }),
    },
  });

/** Sent by a page of ours, or by no page at all: a program. */
function isFromHere(request: Request): boolean {
  const origin = request.headers.get('origin');
  if (origin === null) return true;
  return URL.canParse(origin) && new URL(origin).host === request.headers.get('host');
}

const isJson = (request: Request) =>
  /^application\/json\s*(;|$)/i.test(request.headers.get('content-type') ?? '');

/**
 * Solves a shop document and answers in SI, with what else was asked for: see `requestSchema` in the core.
 * Stores nothing, and takes no longer than ten seconds. 400 no JSON, 403 sent by a page from elsewhere,
 * 413 over 1 MB, 415 another type of content, 422 with the path of each thing wrong (twenty at most), 503
 * where it takes too long or too much is asked at once.
 */
export async function POST(request: Request): Promise<Response> {
  if (!isFromHere(request)) {
    return respond(refusal(403, 'Only pages of this address may ask, and programs.'));
  }
  if (!isJson(request)) {
    return respond(refusal(415, 'Send JSON, with Content-Type: application/json.'));
  }
  const body = await readBody(request, LARGEST);
  if (!body.ok) {
    return respond(refusal(413, `The request is larger than ${LARGEST / 1e6} MB.`));
  }
  const answer = await solveApart(body.text, request.signal);
  // 499: whoever asked has left, and reads nothing of it.
  return answer ? respond(answer) : new Response(null, { status: 499 });
}
