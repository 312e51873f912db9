export type Body = { readonly ok: true; readonly text: string } | { readonly ok: false };

/** Reads a request's text, giving up as soon as it is longer than `most` bytes. */
export async function readBody(request: Request, most: number): Promise<Body> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return { ok: false };
  const reader = request.body?.getReader();
  if (!reader) return { ok: true, text: '' };
  const decoder = new TextDecoder();
  let text = '';
  let size = 0;
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    size += part.value.byteLength;
    if (size > most) {
      await reader.cancel();
      return { ok: false };
    }
    text += decoder.decode(part.value, { stream: true });
  }
  return { ok: true, text: text + decoder.decode() };
}
