/** Everything that ends a line or cannot be seen: a drawing's reader would take it for something else. */
const UNSEEN = /[\p{Cc}\u2028\u2029]+/gu;

/**
 * A name as one line of visible text, for formats in which a line break or a control sign means something.
 * @example oneLine('Saw\n0\nEOF') // 'Saw 0 EOF'
 */
export const oneLine = (text: string): string => text.replace(UNSEEN, ' ').trim();
