'use client';

import { type DropAir, findings, pressureProfile } from '@frank-gauge/core/analysis';
import { STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { findingMessage } from '@/words/finding-words';
import { gather } from '../../parts/gather-steps';
import { stepLabel } from '../../parts/step-label';

/** Where the worst drop's pressure goes, part by part, and what is to be said of it. */
export function ReportPressures({ worst }: { readonly worst: DropAir }) {
  const part = useDesign(airPart);
  const tree = useDuctTree();
  const system = useUnits();
  const write = (value: number) => writeNumber(value, STYLES[system].pressure);
  const steps = gather(pressureProfile(worst.solution, worst.drop));
  const rise = steps.reduce((sum, step) => (step.kind === 'blower' ? sum - step.loss : sum), 0);
  const names = {
    run: (id: string) => part.ducts.runs.find((run) => run.id === id)?.name ?? 'The inlet',
    drop: () => worst.drop.name,
  };
  const messages = findings(part, worst, 'found', 'one').map((finding) =>
    findingMessage(finding, system, names),
  );
  return (
    <div className="grid gap-x-6 sm:grid-cols-2 print:grid-cols-2">
      <section aria-label="Pressure" className="break-inside-avoid pt-3">
        <h2 className="text-[16px]">Where the pressure goes: {worst.drop.name}</h2>
        <table className="w-full border-collapse">
          <thead>
            <tr className="border-ink border-b text-right text-[12px] text-quiet [&>th]:font-normal">
              <th className="text-left">part</th>
              <th>drop, {unitSymbol('pressure', system)}</th>
              <th>share, %</th>
            </tr>
          </thead>
          <tbody>
            {steps
              .filter(({ kind }) => kind !== 'blower')
              .map((step, i) => (
                <tr key={i} className="border-rule border-b text-right font-figure tabular-nums">
                  <td className="text-left font-text">{stepLabel(step, tree, system).join(' ')}</td>
                  <td>{write(step.loss)}</td>
                  <td>{Math.round((100 * step.loss) / rise)}</td>
                </tr>
              ))}
            <tr className="text-right font-figure font-semibold tabular-nums">
              <td className="text-left font-text">Blower</td>
              <td>{write(rise)}</td>
              <td>100</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section aria-label="Issues" className="pt-3">
        <h2 className="text-[16px]">Issues</h2>
        {messages.length === 0 && <p>None at {worst.drop.name}, the worst drop.</p>}
        <ul className="border-ink border-t empty:hidden">
          {messages.map(({ title, text }) => (
            <li key={`${title} ${text}`} className="break-inside-avoid border-rule border-b py-0.5">
              <strong className="font-semibold">{title}</strong> {text}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
