import { type RouteProposal, type SizedDucts, swapMachines } from '@frank-gauge/core/improve';
import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { edit } from '@/storage/session';
import { undoAction } from '../../frame/undo-aloud';

/** Puts proposed ducts in place of those that are there. */
export function adoptRoute({ ducts }: RouteProposal): void {
  edit('route the ducts', (shop) => {
    shop.ducts = structuredClone(ducts);
    const runs = new Set(ducts.runs.map(({ id }) => id));
    const { condition } = shop;
    condition.sealing.runs = condition.sealing.runs.filter(({ run }) => runs.has(run));
    condition.joints.runs = condition.joints.runs.filter(({ run }) => runs.has(run));
    condition.holes = condition.holes.filter(({ run }) => runs.has(run));
  });
  toast('The suggested ducts are in place. Leak settings of removed runs were removed with them.', {
    action: undoAction(),
  });
}

/** Gives every run the size chosen for it. */
export function adoptSizes({ diameters }: SizedDucts): void {
  edit('size the ducts', (shop) => {
    for (const run of shop.ducts.runs) {
      const diameter = diameters.get(run.id);
      if (diameter !== undefined) run.diameter = diameter;
    }
  });
  toast('Every run has its suggested size.', { action: undoAction() });
}

/** Lets two machines change places, ducts and all. */
export function adoptSwap(one: string, other: string): void {
  edit('swap machines', (shop) => swapMachines(shop, one, other, () => nanoid(10)));
  toast('The machines were swapped and their drops rerouted.', { action: undoAction() });
}
