import type { Shop } from '@frank-gauge/core/design';
import { type Journal, writeShopFile } from '@frank-gauge/core/journal';
import { fileStem } from './file-stem';

export type FileForm = 'json' | 'zip';

/** A shop's file from what a page holds of it: where storage fails. */
export const jsonFile = (shop: Shop, journal: Journal): Blob =>
  new Blob([writeShopFile(shop, journal)], { type: 'application/json' });

/** The name of a shop's file, without its ending. */
export const fileName = (shop: Shop): string =>
  `${fileStem(String(shop.shop?.name ?? '')) || 'shop'}.frank-gauge`;
