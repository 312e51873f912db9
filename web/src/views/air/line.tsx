'use client';

import type { ReactNode } from 'react';
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

/** The least and the most a diameter may be, m. */
const DIAMETER = { min: 0.01, max: 2 } as const;

export function DiameterField(props: {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
}) {
  const { system } = useSolvedShop();
  return <QuantityField {...props} kind="diameter" system={system} {...DIAMETER} />;
}
