import { CHAINS, type ChainOrder, type ChainPart } from '../design/chain-order';
import type { CollectorParts } from '../design/edit-candidates';
import type { AssemblySizes } from './usual-sizes';

/** Where the parts stand from left to right, m; the first column begins at 0. */
export interface Columns {
  readonly separatorX: number;
  readonly filterX: number;
  /** Where a blower's housing begins that stands beside the others. */
  readonly blowerX: number;
  /** A wall to the next room, and whether the filter is behind it. */
  readonly partitionX: number | null;
  readonly isFilterElsewhere: boolean;
  /** A wall to the outdoors, where the air goes there. */
  readonly outsideX: number | null;
}

/** Air between what stands side by side, m. */
export const BETWEEN = 0.1;
/** A partition between two rooms. */
const PARTITION = 0.12;

/** Columns side by side, in the order the air meets them. */
export function columnsOf(
  { assembly, separator, exhaust }: CollectorParts,
  sizes: AssemblySizes,
  order: ChainOrder,
): Columns {
  const isInNextRoom = assembly.mount.kind === 'nextRoom';
  const separatorWidth =
    separator.kind === 'none' ? 0 : Math.max(sizes.bin.diameter, sizes.separator.diameter);
  const isOnTop = assembly.mount.kind === 'onSeparator' && order === 'pulled' && separatorWidth > 0;
  const beside = sizes.blower.width + sizes.blower.motorLength;
  const blowerWidth = isOnTop || assembly.mount.kind === 'attic' ? 0 : beside;
  const filterWidth = sizes.filter.diameter;
  const columns = { separatorX: 0, filterX: 0, blowerX: 0, partitionX: null as number | null };
  let x = 0;
  const wall = () => {
    columns.partitionX = x + PARTITION / 2;
    x += PARTITION + BETWEEN;
  };
  const place: Record<ChainPart, () => void> = {
    separator: () => {
      if (separatorWidth === 0) return;
      if (order === 'pushed' && isInNextRoom) wall();
      columns.separatorX = x + separatorWidth / 2;
      x += separatorWidth + BETWEEN;
    },
    blower: () => {
      if (isInNextRoom && order !== 'pushed') wall();
      columns.blowerX = x;
      if (blowerWidth > 0) x += blowerWidth + BETWEEN;
    },
    filter: () => {
      if (filterWidth === 0) return;
      const overhang = isOnTop ? Math.max(0, sizes.blower.housing - separatorWidth) / 2 : 0;
      x += Math.max(overhang, assembly.transition.length - BETWEEN, 0);
      if (exhaust.kind === 'room' && columns.partitionX === null) wall();
      columns.filterX = x + filterWidth / 2;
      x += filterWidth + BETWEEN;
    },
  };
  for (const part of CHAINS[order]) place[part]();
  const isFilterElsewhere =
    columns.partitionX !== null && order !== 'pushed' && columns.filterX > columns.partitionX;
  const reach = Math.max(assembly.transition.length, BETWEEN) + BETWEEN;
  const outsideX = exhaust.kind === 'outdoors' ? x + reach : null;
  return { ...columns, isFilterElsewhere, outsideX };
}
