'use client';

import type { ComponentProps, ReactNode } from 'react';
import { QuantityField } from '@/fields/quantity-field';
import { useSolvedShop } from '../frame/solved-shop';

/** A label with its field, side by side. */
export function Line({
  label,
  children,
}: {
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <div className="grid grid-cols-[116px_1fr] items-center gap-x-2">
      <span className="text-[14px] text-quiet">{label}</span>
      {children}
    </div>
  );
}

type QuantityProps = Omit<ComponentProps<typeof QuantityField>, 'system'>;

/** A quantity in the shop's units. */
export function ShopQuantity(props: QuantityProps) {
  const { system } = useSolvedShop();
  return <QuantityField {...props} system={system} />;
}

/** A quantity in the shop's units behind its label. */
export function FieldLine({ line, ...field }: QuantityProps & { readonly line: string }) {
  return (
    <Line label={line}>
      <ShopQuantity {...field} />
    </Line>
  );
}

/** The least and the most a diameter may be, m. */
const DIAMETER = { min: 0.01, max: 2 } as const;

/** A true inside diameter behind its label. */
export function DiameterLine(props: Omit<QuantityProps, 'kind'> & { readonly line: string }) {
  return <FieldLine {...props} kind="diameter" {...DIAMETER} />;
}
