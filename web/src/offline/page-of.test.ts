import { describe, expect, it } from 'vitest';
import { pageOf } from './page-of.mjs';

describe('the page an address shows', () => {
  it.each([
    ['/', '/'],
    ['/sources', '/sources'],
    ['/shop/heron-slip/air', '/shop/air'],
    ['/shop/air/air', '/shop/air'],
    ['/shop/x/collector/noise', '/shop/collector/noise'],
    ['/shop/x', '/shop/x'],
    ['/practice', '/practice'],
    ['/practice/garage', '/practice/hunt'],
    ['/practice/hard-17', '/practice/hunt'],
  ])('%s: %s', (address, page) => expect(pageOf(address)).toBe(page));
});
