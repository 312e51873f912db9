/**
 * The page that an address shows. A page of a shop is the same for every shop, so the shop's id is left out:
 * `/shop/abc/air` shows `/shop/air`, and `/practice/garage` shows `/practice/hunt`. An address that no page has is
 * answered as it is.
 *
 * @param {string} pathname
 */
export function pageOf(pathname) {
  if (/^\/practice\/[^/]+$/.test(pathname)) return '/practice/hunt';
  const inShop = /^\/shop\/[^/]+(\/.+)$/.exec(pathname);
  return inShop ? `/shop${inShop[1]}` : pathname;
}
