'use client';

import type { CollectorOption } from '@frank-gauge/core/analysis';
import type { ReactNode } from 'react';

export interface CollectorOptions {
  readonly options: readonly CollectorOption[];
}

interface RowProps extends CollectorOptions {
  readonly label: string;
  readonly cell: (option: CollectorOption, present: CollectorOption) => ReactNode;
  readonly isBig?: boolean;
}

/** What every collector has of one thing, the present one first. */
export function Row({ label, cell, options, isBig = false }: RowProps) {
  const [present] = options;
  if (!present) return null;
  return (
    <tr className="border-rule border-b align-baseline [&>*]:px-1.5 [&>*]:py-1 lg:[&>*]:px-2">
      <th scope="row" className="sticky left-0 bg-paper bg-clip-padding text-left font-normal">
        {label}
      </th>
      {options.map((option) => (
        <td
          key={option.id ?? ''}
          className={isBig ? 'font-semibold text-[21px]' : 'whitespace-nowrap'}
        >
          {cell(option, present) ?? '–'}
        </td>
      ))}
    </tr>
  );
}

/** Rows that belong together under their name. */
export function Part({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <tbody>
      <tr>
        <th
          scope="rowgroup"
          colSpan={5}
          className="px-2 pt-4 pb-1 text-left font-medium font-name text-[16px]"
        >
          <span className="sticky left-2">{name}</span>
        </th>
      </tr>
      {children}
    </tbody>
  );
}
