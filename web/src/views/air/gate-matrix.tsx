'use client';

import type { GateMatrix as Matrix } from '@frank-gauge/core/analysis';
import { STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';

/** Columns a table holds. */
const COLUMNS = 12;

/** Drops by combinations of gates: the combinations that go worst, with what is short marked. */
export function GateMatrix() {
  const part = useDesign(airPart);
  const view = useChoices((choices) => choices.view);
  const { drops } = useDuctTree();
  const system = useUnits();
  const [matrix, setMatrix] = useState<Matrix | null>(null);
  useEffect(() => {
    const asked = engine.ask('gate matrix', (remote) => remote.gateMatrix(part, view, COLUMNS));
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'answered') setMatrix(outcome.answer);
    });
    return asked.cancel;
  }, [part, view]);
  if (!matrix) {
    return (
      <p role="status" className="text-quiet">
        Solving the combinations…
      </p>
    );
  }
  const { columns, enough, solved, sets } = matrix;
  const name = (id: string) => drops.find((drop) => drop.id === id)?.name ?? id;
  return (
    <>
      <p className="text-[14px] text-quiet">
        {solved < sets
          ? `${solved.toLocaleString('en')} of ${sets.toLocaleString('en')} combinations solved`
          : `${sets.toLocaleString('en')} combinations`}
        ; in {enough.toLocaleString('en')} of them nothing is short. The{' '}
        {columns.length < solved ? `${columns.length} that go worst` : 'worst first'}, flows in{' '}
        {unitSymbol('flow', system)}:
      </p>
      <div className="overflow-x-auto">
        <table className="border-collapse text-[14px]">
          <thead>
            <tr className="border-ink border-b text-[13px] text-quiet">
              <th className="pr-3 text-left font-normal">drop</th>
              {columns.map(({ drawing }, i) => (
                <th
                  key={drawing.join()}
                  title={drawing.map(name).join(', ')}
                  className="px-2 text-right font-normal"
                >
                  {i + 1}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {drops.map(({ id, name: drop }, row) => (
              <tr key={id} className="border-rule border-b">
                <td className="pr-3">{drop}</td>
                {columns.map(({ drawing, cells }) => {
                  const cell = cells[row];
                  return (
                    <td
                      key={drawing.join()}
                      className={`px-2 text-right font-figure tabular-nums ${cell?.isShort ? 'font-semibold text-starved-text' : ''}`}
                    >
                      {cell
                        ? `${cell.isShort ? '▼' : ''}${writeNumber(cell.flow, STYLES[system].flow)}`
                        : '·'}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
