/**
 * A name as a file may bear it: letters and digits of any script, all else a hyphen.
 * @example fileStem('Lid for a drum') // 'lid-for-a-drum'
 */
export const fileStem = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
