import { solveRequest } from '@frank-gauge/core/api';
import { NextResponse } from 'next/server';
import { readBody } from './read-body';

/** A larger request is refused, in bytes. */
const LARGEST = 1_000_000;

const UNSTORED = { headers: { 'Cache-Control': 'no-store' } };

const refuse = (status: number, error: string, faults: readonly unknown[] = []) =>
  NextResponse.json({ error, faults }, { status, ...UNSTORED });

/**
 * Solves a shop document and answers in SI, with what else was asked for: see `requestSchema` in
 * the core. Stores nothing. 400 no JSON, 413 over 1 MB, 422 with the path of each thing wrong.
 */
export async function POST(request: Request): Promise<NextResponse> {
  const body = await readBody(request, LARGEST);
  if (!body.ok) return refuse(413, `The request is larger than ${LARGEST / 1e6} MB.`);
  let json: unknown;
  try {
    json = JSON.parse(body.text);
  } catch (error) {
    return refuse(400, `The request is not JSON (${error instanceof Error ? error.message : ''}).`);
  }
  const solved = solveRequest(json);
  return solved.ok
    ? NextResponse.json(solved.answer, UNSTORED)
    : refuse(422, solved.error, solved.faults);
}
