/** Encodings a table may come in, likeliest first where nothing at its beginning says which. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/**
 * The text of a file's bytes. A mark at its beginning says which encoding it is in; without one it is UTF-8 if it
 * can be, and else Windows-1252, in which any bytes are some text.
 */
export function decodeText(bytes: Uint8Array): { text: string; encoding: Encoding } {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return decoded(bytes, 'utf-16le');
  if (first === 0xfe && second === 0xff) return decoded(bytes, 'utf-16be');
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    return decoded(bytes, 'windows-1252');
  }
}

const decoded = (bytes: Uint8Array, encoding: Encoding) => ({
  text: new TextDecoder(encoding).decode(bytes),
  encoding,
});
