import { type CutList, cutList } from '@frank-gauge/core/build';
import { useMemo } from 'react';
import { useDesign, useDuctTree } from '@/model/use-design';

/** The open shop's cut list. */
export function useCuts(): CutList {
  const shop = useDesign();
  const tree = useDuctTree();
  return useMemo(() => cutList(shop, tree), [shop, tree]);
}
