/**
 * The page that an address shows. A page of a shop is the same for every shop, so the shop's id is left out:
 * `/shop/abc/air` shows `/shop/air`. An address that no page has is answered as it is.
 *
 * @param {string} pathname
 */
export function pageOf(pathname) {
  const inShop = /^\/shop\/[^/]+(\/.+)$/.exec(pathname);
  return inShop ? `/shop${inShop[1]}` : pathname;
}
