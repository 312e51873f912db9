/** What a price book has a line for, as a shop's document writes it. */
export const PRICE_IDS = [
  'pipe',
  'elbow',
  'wye',
  'gate',
  'ribbedHose',
  'smoothHose',
  'tape',
  'cartridge',
  'bag',
  'cyclone',
  'baffle',
  'blower',
  'circuit',
  'hood',
  'outlet',
  'enclosure',
  'impeller',
  'heat',
  'hour',
] as const;
export type PriceId = (typeof PRICE_IDS)[number];
