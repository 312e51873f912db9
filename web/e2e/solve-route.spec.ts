import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';

const shop = () => JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
const gateOf = (name: string) =>
  shop().ducts.runs.find((run: { name: string }) => run.name === name).id;

test('solves a document, with the gates asked for', async ({ request }) => {
  const asDrawn = await request.post('/api/solve', { data: { shop: shop() } });
  expect(asDrawn.status()).toBe(200);
  const solved = await asDrawn.json();
  expect(solved.kind).toBe('solved');
  expect(solved.residual).toBeLessThan(1e-9);
  const drops = Object.fromEntries(
    solved.drops.map(({ name, flow }: { name: string; flow: number }) => [name, flow]),
  );
  expect(drops.Planer).toBeGreaterThan(0.2);
  expect(drops['Table saw']).toBeLessThan(0.02);

  const openGates = [gateOf('Table saw drop')];
  const other = await (
    await request.post('/api/solve', { data: { shop: shop(), openGates } })
  ).json();
  const saw = other.drops.find(({ name }: { name: string }) => name === 'Table saw');
  expect(saw.flow).toBeGreaterThan(0.2);
});

test('answers with everything the core knows of a shop, when asked', async ({ request }) => {
  const openGates = [gateOf('Far end'), gateOf('Planer drop')];
  const include = ['load', 'findings', 'methods', 'gateSets'];
  const solve = async (data: object) => (await request.post('/api/solve', { data })).json();
  const answer = await solve({ shop: shop(), openGates, include });
  expect(answer.load.current).toBeGreaterThan(3);
  expect(answer.load.filter.timeToDue).toBeGreaterThan(3600);
  expect(answer.findings.map(({ kind }: { kind: string }) => kind)).toContain('long hose');
  expect(answer.methods).toHaveLength(5);
  expect(answer.methods[0].spread).toBeLessThan(0.2);
  expect(answer.gateSets.sets).toBe(5);
  for (const { staticIn, totalIn, velocityPressureIn } of answer.runs[0].segments) {
    expect(totalIn - velocityPressureIn).toBeCloseTo(staticIn, 9);
  }
  const other = await solve({ shop: shop(), openGates, friction: 'equivalentFeet' });
  expect(other.blower.flow).not.toBe(answer.blower.flow);
  const curve = { kind: 'csv', text: 'CFM,in wg\n0,9\n1100,0' };
  const weaker = await solve({ shop: shop(), openGates, curve });
  expect(weaker.blower.flow).toBeLessThan(answer.blower.flow);
});

test('refuses with the path of what is wrong', async ({ request }) => {
  const wrong = shop();
  wrong.ducts.runs[1].length = -3;
  const refused = await request.post('/api/solve', { data: { shop: wrong } });
  expect(refused.status()).toBe(422);
  expect((await refused.json()).faults[0].path).toBe('shop.ducts.runs.1.length');

  const gate = await request.post('/api/solve', { data: { shop: shop(), openGates: ['none'] } });
  expect(gate.status()).toBe(422);
  expect((await gate.json()).faults[0].path).toBe('openGates.0');

  const extra = await request.post('/api/solve', { data: { shop: shop(), colour: 'red' } });
  expect(extra.status()).toBe(422);
});

test('refuses what is no JSON, and what is over 1 MB', async ({ request }) => {
  const headers = { 'content-type': 'application/json' };
  const text = await request.post('/api/solve', { data: Buffer.from('{ "shop": '), headers });
  expect(text.status()).toBe(400);
  const large = await request.post('/api/solve', { data: Buffer.alloc(1_100_000, 32), headers });
  expect(large.status()).toBe(413);
  expect((await large.json()).error).toMatch(/larger than 1 MB/);
});

test('says of a shop without an answer why', async ({ request }) => {
  const weak = shop();
  weak.collector.blower.curve = [
    { flow: 0, pressure: 3000 },
    { flow: 0.01, pressure: 2900 },
  ];
  const answer = await request.post('/api/solve', { data: { shop: weak } });
  expect(answer.status()).toBe(200);
  expect(await answer.json()).toMatchObject({ kind: 'unsolved', reason: { kind: 'beyond-curve' } });
});

test('serves the shop file’s format as JSON Schema', async ({ request }) => {
  const response = await request.get('/schema/shop.json');
  expect(response.status()).toBe(200);
  expect(response.headers()['content-type']).toContain('application/schema+json');
  const schema = await response.json();
  expect(schema.properties.format).toMatchObject({ const: 'frank-gauge' });
  expect(schema.properties.ducts.required).toContain('runs');
});

test('every response is hardened and allows this origin only', async ({ request }) => {
  const page = await request.get('/');
  const script = /\/_next\/static\/[^"]+\.js/.exec(await page.text())?.[0] ?? '';
  expect(script).not.toBe('');
  const responses = [
    page,
    await request.get(script),
    await request.get('/shop/x/air'),
    await request.get('/nowhere'),
    await request.get('/api/solve'),
    await request.post('/api/solve', { data: {} }),
  ];
  for (const response of responses) {
    const headers = response.headers();
    const policy = headers['content-security-policy'] ?? '';
    expect(policy, response.url()).toContain("default-src 'self'");
    expect(policy).toContain("connect-src 'self'");
    expect(policy).not.toMatch(/https?:|\*|unsafe-eval/);
    expect(policy).toMatch(/script-src 'self'( 'sha256-[^']+')+;/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-frame-options']).toBe('DENY');
    expect(headers['referrer-policy']).toBe('no-referrer');
    expect(headers['x-powered-by']).toBeUndefined();
  }
});
