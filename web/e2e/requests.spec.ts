import type { ChildProcess } from 'node:child_process';
import { connect } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';
import { expect, test } from '@playwright/test';
import { endlessRequest } from '../../core/reference/endless-request';
import { drawnShop } from '../../core/reference/sample-shops';
import { freePort, startApp } from '../../scripts/machine.mjs';

// A server of its own: it is kept busy here, and other tests are not to wait for it.
test.describe.configure({ mode: 'serial' });
let app: { readonly child: ChildProcess; readonly address: string };
test.beforeAll(async () => {
  app = await startApp(await freePort(4900));
});
test.afterAll(() => void app?.child.kill());

const HARDENING = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'no-referrer',
  'cross-origin-resource-policy': 'same-origin',
};

/** What the server says to bytes that need not be a request at all: its status, and its headers. */
function message(
  address: string,
  bytes: string,
): Promise<{ status: number; headers: Map<string, string> }> {
  const { hostname, port } = new URL(address);
  return new Promise((resolve, reject) => {
    let heard = '';
    const socket = connect(Number(port), hostname, () => socket.write(bytes));
    socket.on('data', (part) => {
      heard += part;
      if (heard.includes('\r\n\r\n')) socket.destroy();
    });
    socket.on('error', reject);
    socket.on('close', () => {
      const [first = '', ...lines] = heard.split('\r\n\r\n')[0]?.split('\r\n') ?? [];
      const headers = lines.map((line) => /^([^:]+):\s*(.*)$/.exec(line) ?? []);
      resolve({
        status: Number(first.split(' ')[1]),
        headers: new Map(headers.map(([, name = '', value = '']) => [name.toLowerCase(), value])),
      });
    });
  });
}

/** Asks the solver, as a program does. */
const ask = (data: unknown, headers: Record<string, string> = {}, signal?: AbortSignal) =>
  fetch(`${app.address}/api/solve`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: JSON.stringify(data),
    signal: signal ?? null,
  });

test('a request that would take an hour is ended, and no page waits for it meanwhile', async () => {
  const began = Date.now();
  let isOver = false;
  const asked = ask(endlessRequest()).finally(() => {
    isOver = true;
  });
  let longest = 0;
  while (!isOver) {
    const from = performance.now();
    const page = await fetch(`${app.address}/sources`);
    expect(page.status).toBe(200);
    longest = Math.max(longest, performance.now() - from);
    await wait(50);
  }
  const answer = await asked;
  expect(answer.status).toBe(503);
  expect((await answer.json()).error).toMatch(/takes longer than 10 s/);
  // Ended after 10 s; on a machine where other tests run beside it the answer takes its time to come.
  expect(Date.now() - began).toBeLessThan(30_000);
  // 250 ms is held by `npm run attack` on a machine that does nothing else; here other tests run beside it.
  expect(longest).toBeLessThan(2500);
  // The next one is answered as if nothing had been.
  expect((await ask({ shop: drawnShop(3) })).status).toBe(200);
});

test('work for whoever has left is ended, and those who wait come on', async () => {
  const leaving = Array.from({ length: 3 }, () => {
    const left = new AbortController();
    const asked = ask(endlessRequest(), {}, left.signal).catch(() => null);
    return { left, asked };
  });
  await wait(500);
  for (const { left } of leaving) left.abort();
  await Promise.all(leaving.map(({ asked }) => asked));
  const began = Date.now();
  expect((await ask({ shop: drawnShop(3) })).status).toBe(200);
  expect(Date.now() - began).toBeLessThan(5000);
});

test('more than can wait are told to come again', async () => {
  const work = endlessRequest();
  const many = await Promise.all(Array.from({ length: 14 }, () => ask(work)));
  const errors = await Promise.all(many.map(async (each) => (await each.json()).error));
  expect(new Set(many.map((each) => each.status))).toEqual(new Set([503]));
  expect(errors.filter((error) => /Too many requests/.test(error)).length).toBeGreaterThan(0);
  expect(many[0]?.headers.get('retry-after')).toBe('5');
});

test('of a journal of nothing but faults twenty are named, at once', async () => {
  const journal = { readings: Array.from({ length: 200_000 }, () => ({})) };
  const answer = await ask({ shop: { ...drawnShop(3), journal } });
  expect(answer.status).toBe(422);
  const text = await answer.text();
  expect(text.length).toBeLessThan(10_000);
  expect(JSON.parse(text).faults).toHaveLength(20);
  const list = Array.from({ length: 200_000 }, () => ({}));
  const wide = await ask({ shop: { ...drawnShop(3), machines: list } });
  expect(wide.status).toBe(422);
  expect((await wide.text()).length).toBeLessThan(10_000);
});

test('a table of nothing but blanks is refused at once', async () => {
  const curve = { kind: 'csv', text: ' '.repeat(99_000) };
  const began = Date.now();
  expect((await ask({ shop: drawnShop(3), curve })).status).toBe(422);
  expect(Date.now() - began).toBeLessThan(5000);
});

test('only JSON is read, and only from pages of this address or from programs', async () => {
  const shop = drawnShop(3);
  const status = async (headers: Record<string, string>) => (await ask({ shop }, headers)).status;
  expect(await status({ 'content-type': 'text/plain' })).toBe(415);
  expect(await status({ 'content-type': 'application/jsonp' })).toBe(415);
  expect(await status({ 'content-type': 'application/json; charset=utf-8' })).toBe(200);
  expect(await status({ origin: app.address })).toBe(200);
  expect(await status({ origin: 'http://elsewhere.example' })).toBe(403);
  expect(await status({ origin: 'null' })).toBe(403);
});

test('whatever is asked, the answer carries the hardening headers, and is no fault of the server', async () => {
  const { address } = app;
  const { host } = new URL(address);
  const get = (path: string, method = 'GET') =>
    message(address, `${method} ${path} HTTP/1.1\r\nHost: ${host}\r\n\r\n`);
  const cases: [string, Promise<{ status: number; headers: Map<string, string> }>, number[]][] = [
    ['a page', get('/'), [200]],
    ['a page that is not there', get('/nothing'), [404]],
    ['a redirect', get('/shop/x/'), [308]],
    ['another redirect', get('//elsewhere.example/%2e%2e'), [308, 400, 404]],
    ['the demo', get('/demo'), [200, 307]],
    ['an address with a broken escape', get('/%zz'), [400]],
    ['one that is no text', get('/%ff%fe'), [400]],
    ['one with a nought in it', get('/shop/%00'), [400]],
    ['one that climbs', get('/../../etc/passwd'), [400, 404]],
    ['one that climbs in escapes', get('/_next/static/%2e%2e/%2e%2e/package.json'), [400, 404]],
    ['TRACE', get('/', 'TRACE'), [405]],
    ['PUT', get('/api/solve', 'PUT'), [405]],
    ['DELETE', get('/', 'DELETE'), [405]],
    ['asking the solver by GET', get('/api/solve'), [405]],
    ['nonsense', message(address, 'nonsense\r\n\r\n'), [400]],
    [
      'a header without end',
      message(address, `GET / HTTP/1.1\r\nHost: ${host}\r\nX: ${'x'.repeat(30_000)}\r\n\r\n`),
      [431],
    ],
    [
      'a broken length',
      message(address, `POST /api/solve HTTP/1.1\r\nHost: ${host}\r\nContent-Length: -5\r\n\r\n`),
      [400],
    ],
  ];
  for (const [what, asked, statuses] of cases) {
    const { status, headers } = await asked;
    expect(statuses, what).toContain(status);
    for (const [name, value] of Object.entries(HARDENING)) {
      expect(headers.get(name), `${what}: ${name}`).toBe(value);
    }
    expect(headers.has('x-powered-by'), what).toBe(false);
  }
});
