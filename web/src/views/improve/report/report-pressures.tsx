'use client';

import { type DropAir, type ProfileStep, pressureProfile } from '@frank-gauge/core/analysis';
import { STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { linearScale } from '@/ui/linear-scale';
import { gather } from '../../parts/gather-steps';
import { issuesAt } from '../../parts/issues';
import { stepLabel } from '../../parts/step-label';

/** Where the worst drop's pressure goes, part by part, and what is to be said of it. */
export function ReportPressures({ worst }: { readonly worst: DropAir }) {
  const shop = useDesign();
  const tree = useDuctTree();
  const system = useUnits();
  const write = (value: number) => writeNumber(value, STYLES[system].pressure);
  const steps = gather(pressureProfile(worst.solution, worst.drop));
  const rise = steps.reduce((sum, step) => (step.kind === 'blower' ? sum - step.loss : sum), 0);
  const { standing, aside } = issuesAt(shop, worst, 'found', 'one', system);
  return (
    <div className="grid gap-x-6 sm:grid-cols-2 print:grid-cols-2">
      <section aria-label="Pressure" className="break-inside-avoid pt-3">
        <h2 className="text-[16px]">Where the pressure goes: {worst.drop.name}</h2>
        <ProfileLine steps={steps} />
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
        {standing.length === 0 && <p>None at {worst.drop.name}, the worst drop.</p>}
        <ul className="border-ink border-t empty:hidden">
          {standing.map(({ title, text }) => (
            <li key={`${title} ${text}`} className="break-inside-avoid border-rule border-b py-0.5">
              <strong className="font-semibold">{title}</strong> {text}
            </li>
          ))}
          {aside.map(({ title, text, reason }) => (
            <li
              key={`${title} ${text}`}
              className="break-inside-avoid border-rule border-b py-0.5 text-quiet"
            >
              {title} Set aside: {reason}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

const WIDTH = 300;
const HEIGHT = 56;
const EDGE = 3;

/** Static pressure from the port to the room again, part by part, as one line over the room's. */
function ProfileLine({ steps }: { readonly steps: readonly ProfileStep[] }) {
  const levels = steps.flatMap(({ staticBefore, staticAfter }) => [staticBefore, staticAfter]);
  const y = linearScale([Math.min(...levels), Math.max(...levels, 0)], [HEIGHT - EDGE, EDGE], 5);
  const pitch = WIDTH / steps.length;
  const points = steps.flatMap(({ staticBefore, staticAfter }, i) => [
    `${i * pitch},${y(staticBefore)}`,
    `${(i + 1) * pitch},${y(staticAfter)}`,
  ]);
  return (
    <svg
      role="img"
      aria-label="Static pressure from the port through the blower to the room"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      className="h-14 w-full [&_*]:[vector-effect:non-scaling-stroke]"
    >
      <line x1={0} x2={WIDTH} y1={y(0)} y2={y(0)} className="stroke-rule" />
      <polyline points={points.join(' ')} className="fill-none stroke-ink [stroke-width:1.5]" />
    </svg>
  );
}
