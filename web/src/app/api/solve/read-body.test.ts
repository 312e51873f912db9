import { describe, expect, it } from 'vitest';
import { readBody } from './read-body';

const request = (body: BodyInit | null, headers: Record<string, string> = {}) =>
  new Request('http://localhost/', { method: 'POST', body, headers });

describe('a request’s body', () => {
  it('is read whole, letters of several bytes too', async () => {
    expect(await readBody(request('{"Ω": "½"}'), 100)).toEqual({ ok: true, text: '{"Ω": "½"}' });
    expect(await readBody(request(null), 100)).toEqual({ ok: true, text: '' });
  });

  it('is refused by its stated length, and by its real one when that was not stated', async () => {
    expect(await readBody(request('x'.repeat(101)), 100)).toEqual({ ok: false });
    expect(await readBody(request('x', { 'content-length': '5000' }), 100)).toEqual({ ok: false });
    const endless = new ReadableStream<Uint8Array>({
      pull: (controller) => controller.enqueue(new Uint8Array(64)),
    });
    const streamed = new Request('http://localhost/', {
      method: 'POST',
      body: endless,
      duplex: 'half',
    } as RequestInit);
    expect(await readBody(streamed, 1000)).toEqual({ ok: false });
  });
});
