import type { NetworkQuantity } from './adjoint';
import type { NetworkState } from './solve-network';

/** Those of a network's quantities that are flows. */
export type FlowQuantity = Extract<
  NetworkQuantity,
  { readonly kind: 'flow' | 'flow out' | 'blower flow' }
>;

/** One of a network's flows in a solution, m³/s. */
export function flowIn(
  { qUp, qDown, flow }: Pick<NetworkState, 'qUp' | 'qDown' | 'flow'>,
  quantity: FlowQuantity,
): number {
  switch (quantity.kind) {
    case 'flow':
      return qUp[quantity.segment] ?? 0;
    case 'flow out':
      return qDown[quantity.segment] ?? 0;
    case 'blower flow':
      return flow;
  }
}
