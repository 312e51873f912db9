import { describeSolution, readShop, solutionSchema, solveShop } from '@frank-gauge/core';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { readBody } from './read-body';

/** A larger request is refused, in bytes. */
const LARGEST = 1_000_000;

const requestSchema = z.strictObject({
  shop: z.unknown(),
  /** Ids of runs whose gates stand open; left out: as the document has them. */
  openGates: z.array(z.string()).max(2000).optional(),
  view: z.enum(['designed', 'found']).default('found'),
});

const refuse = (status: number, error: string, faults: readonly unknown[] = []) =>
  NextResponse.json({ error, faults }, { status, headers: { 'Cache-Control': 'no-store' } });

/**
 * Solves a shop document: POST { shop, openGates?, view? }, answered with the solution in SI.
 * Stores nothing. 400 no JSON, 413 over 1 MB, 422 with the path of each thing wrong.
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
  const asked = requestSchema.safeParse(json);
  if (!asked.success) {
    const faults = asked.error.issues.map(({ path, message }) => ({
      path: path.join('.'),
      message,
    }));
    return refuse(422, 'The request is not as it should be.', faults);
  }
  const read = readShop(asked.data.shop);
  if (!read.ok) {
    const faults = read.faults.map(({ path, message }) => ({
      path: path === '' ? 'shop' : `shop.${path}`,
      message,
    }));
    return refuse(422, 'The shop cannot be solved as it is.', faults);
  }
  const { shop } = read;
  const { openGates, view } = asked.data;
  const gated = new Set(shop.ducts.runs.filter((run) => run.gate).map((run) => run.id));
  const unknown = openGates?.findIndex((run) => !gated.has(run)) ?? -1;
  if (unknown >= 0) {
    const message = `no run '${openGates?.[unknown]}' with a gate`;
    return refuse(422, 'The gates are not the shop’s.', [
      { path: `openGates.${unknown}`, message },
    ]);
  }
  const solved = solveShop(shop, { view, openGates: openGates ? new Set(openGates) : undefined });
  const answer = solutionSchema.parse(describeSolution(solved));
  return NextResponse.json(answer, { headers: { 'Cache-Control': 'no-store' } });
}
