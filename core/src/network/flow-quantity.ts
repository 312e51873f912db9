import type { NetworkQuantity } from './adjoint';

/** Those of a network's quantities that are flows. */
export type FlowQuantity = Extract<
  NetworkQuantity,
  { readonly kind: 'flow' | 'flow out' | 'blower flow' }
>;
