'use client';

import { UNITS } from '@frank-gauge/core/quantity';
import type { Column, Table, TableField } from '@frank-gauge/core/spreadsheet';
import { Choice } from '@/ui/choice';
import { FIELD_NAMES } from './table-words';

interface Props {
  readonly table: Table;
  readonly columns: readonly Column[];
  readonly fields: readonly TableField[];
  readonly onChange: (columns: readonly Column[]) => void;
}

const PASSED_OVER = 'passed over';

/** The columns of a table with their first cells, and what each is taken to hold. */
export function ColumnTable({ table, columns, fields, onChange }: Props) {
  const options = [
    { value: PASSED_OVER, label: PASSED_OVER },
    ...fields.map((field) => ({ value: field, label: FIELD_NAMES[field] })),
  ];
  const put = (column: number, chosen: string) => {
    const field = fields.find((each) => each === chosen) ?? null;
    onChange(
      columns.map((each, i) => {
        if (i === column) return { ...each, field };
        // Only repeats may stand in several columns.
        return field !== null && field !== 'value' && each.field === field
          ? { ...each, field: null }
          : each;
      }),
    );
  };
  return (
    <table aria-label="Columns of the file" className="w-full max-w-2xl text-left">
      <thead>
        <tr className="border-ink border-b text-[14px] text-quiet">
          <th className="py-1 pr-3 font-normal">Column</th>
          <th className="py-1 pr-3 font-normal">First cell</th>
          <th className="py-1 font-normal">Holds</th>
        </tr>
      </thead>
      <tbody>
        {table.headers.map((header, i) => {
          const column = columns[i] ?? { field: null, unit: null };
          const name = header === '' ? `Column ${i + 1}` : header;
          return (
            // Headers may repeat.
            <tr key={`${i} ${header}`} className="border-rule border-b">
              <td className="max-w-40 truncate py-1 pr-3">{name}</td>
              <td className="max-w-40 truncate py-1 pr-3 text-quiet">
                {table.rows[0]?.cells[i] ?? ''}
              </td>
              <td className="w-56 py-0.5">
                <div className="flex items-center gap-2">
                  <Choice
                    label={`${name} holds`}
                    value={column.field ?? PASSED_OVER}
                    options={options}
                    onChange={(chosen) => put(i, chosen)}
                  />
                  {column.unit && <span className="text-quiet">{UNITS[column.unit].symbol}</span>}
                </div>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
