/**
 * A sentence that ends in “in.” or “ft.” needs no full stop of its own.
 * @example oneStop('Make it at least 3⅛ in..') // 'Make it at least 3⅛ in.'
 */
export const oneStop = (text: string): string => text.replaceAll(/(?<!\.)\.\.(?!\.)/g, '.');
