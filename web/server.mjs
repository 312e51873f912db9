// The app's own server: what Next serves, with the hardening headers on every answer, whoever gives it, and a
// Content-Security-Policy that lets in what is ours alone. It listens on this machine only, unless --host says
// otherwise.
import { readFileSync } from 'node:fs';
import { createServer, STATUS_CODES } from 'node:http';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import next from 'next';
import { pageOf } from './src/offline/page-of.mjs';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4780' },
    host: { type: 'string', default: '127.0.0.1' },
  },
});
const port = Number(values.port);
const { host } = values;

const read = (name) => JSON.parse(readFileSync(new URL(name, import.meta.url), 'utf8'));

const HARDENING = read('hardening.json');
/** By page, the hashes of the scripts that stand in it. */
const SCRIPTS = read('.offline/scripts.json');
/** Of what no page is made of. */
const REFUSAL = {
  ...HARDENING,
  'Content-Type': 'text/plain; charset=utf-8',
  'Content-Security-Policy': "default-src 'none'; frame-ancestors 'none'",
};
const METHODS = ['GET', 'HEAD', 'POST', 'OPTIONS'];
/** The longest a request may take to arrive, ms. */
const ARRIVAL = 30_000;

const app = next({
  dev: false,
  dir: fileURLToPath(new URL('.', import.meta.url)),
  hostname: host,
  port,
});
await app.prepare();
const handle = app.getRequestHandler();

/**
 * What a page may load: files of this address, pictures the page makes itself, and the scripts that stand in it
 * as it was built. Styles may stand inline: the interface libraries place floating things by style attributes,
 * and a style fetches nothing.
 */
function policyOf(pathname) {
  const hashes = SCRIPTS[pageOf(pathname)] ?? SCRIPTS['/_not-found'];
  return [
    "default-src 'self'",
    `script-src 'self' ${hashes.join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

function refuse(response, status, sentence, headers = {}) {
  response.writeHead(status, { ...REFUSAL, ...headers });
  response.end(`${sentence}\n`);
}

/** Whether an address can be read: each escape in it is one, and stands for text. */
function isReadable(url) {
  try {
    return !decodeURIComponent(url.split('?')[0]).includes('\0');
  } catch {
    return false;
  }
}

const server = createServer(async (request, response) => {
  if (!METHODS.includes(request.method)) {
    refuse(response, 405, 'This address cannot be asked that way.', { Allow: METHODS.join(', ') });
    return;
  }
  if (!isReadable(request.url)) {
    refuse(response, 400, 'This address cannot be read.');
    return;
  }
  for (const [name, value] of Object.entries(HARDENING)) response.setHeader(name, value);
  response.setHeader('Content-Security-Policy', policyOf(request.url.split('?')[0]));
  try {
    await handle(request, response);
  } catch (error) {
    console.error(error);
    if (response.headersSent) response.destroy();
    else refuse(response, 500, 'Something went wrong here; nothing of yours was changed.');
  }
});
server.requestTimeout = ARRIVAL;
// Longer than programs keep a connection they may use again, so that none is closed under a request.
server.keepAliveTimeout = 65_000;
// What is no request at all never reaches the function above.
server.on('clientError', (error, socket) => {
  if (error.code === 'ECONNRESET' || !socket.writable) return;
  const status = error.code === 'HPE_HEADER_OVERFLOW' ? 431 : 400;
  const lines = Object.entries({ ...REFUSAL, Connection: 'close' }).map(
    ([name, value]) => `${name}: ${value}`,
  );
  socket.end(`HTTP/1.1 ${status} ${STATUS_CODES[status]}\r\n${lines.join('\r\n')}\r\n\r\n`);
});
server.listen(port, host);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(0));
