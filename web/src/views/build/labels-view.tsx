'use client';

import { PIPES } from '@frank-gauge/core/catalogue';
import { formatShort } from '@frank-gauge/core/quantity';
import { binLife } from '@frank-gauge/core/upkeep';
import Link from 'next/link';
import { type ReactNode, useState } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { tapeLength } from '@/words/tape-length';
import { NothingToBuild } from './nothing-to-build';
import { useCuts } from './use-cuts';

interface LabelText {
  readonly id: string;
  readonly title: string;
  readonly lines: readonly string[];
}

const SETS = {
  gates: 'Gates',
  pieces: 'Pieces of pipe',
  bin: 'Bin',
} as const;
type LabelSet = keyof typeof SETS;

/** Labels to print and stick on gates, pieces of pipe and the bin. */
export function LabelsView() {
  const id = useDesign((shop) => shop.id);
  const runs = useDesign((shop) => shop.ducts.runs);
  const labels = useLabels();
  const [hidden, setHidden] = useState<readonly LabelSet[]>([]);
  const sets = (Object.keys(SETS) as LabelSet[]).filter((set) => labels[set].length > 0);
  if (sets.length === 0) return <NothingToBuild />;
  const shown = sets.filter((set) => !hidden.includes(set));
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <div className="print:hidden">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 className="text-[18px]">Labels</h1>
          <Button look="quiet" className="ml-auto" onClick={() => window.print()}>
            Print
          </Button>
        </div>
        <p className="max-w-prose text-[15px]">
          Test points have labels of their own, with a code to scan, under{' '}
          <Link className="underline" href={`/shop/${id}/log/points`}>
            Log, Test points
          </Link>
          .{runs.length === 0 && ' Gates and pieces of pipe have labels once there are ducts.'}
        </p>
        <div className="flex flex-wrap gap-x-5">
          {sets.map((set) => (
            <label key={set} className="flex min-h-11 items-center gap-2 md:min-h-8">
              <input
                type="checkbox"
                className="size-5 accent-ink md:size-4"
                checked={!hidden.includes(set)}
                onChange={(event) =>
                  setHidden(
                    event.target.checked ? hidden.filter((each) => each !== set) : [...hidden, set],
                  )
                }
              />
              {SETS[set]}
            </label>
          ))}
        </div>
      </div>
      {shown.map((set) => (
        <LabelGrid key={set} name={SETS[set]}>
          {labels[set].map((label) => (
            <Label key={label.id} label={label} />
          ))}
        </LabelGrid>
      ))}
    </div>
  );
}

function LabelGrid({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <ul
      aria-label={`Labels: ${name}`}
      className="grid grid-cols-[repeat(auto-fill,minmax(200px,1fr))] gap-2 pt-3 print:grid-cols-3"
    >
      {children}
    </ul>
  );
}

function Label({ label: { title, lines } }: { readonly label: LabelText }) {
  return (
    <li className="min-h-20 break-inside-avoid border border-ink p-2">
      <p className="font-name font-semibold text-[18px] leading-tight">{title}</p>
      {lines.map((line) => (
        <p key={line} className="text-[14px]">
          {line}
        </p>
      ))}
    </li>
  );
}

/** What is written on each. */
function useLabels(): Readonly<Record<LabelSet, readonly LabelText[]>> {
  const shop = useDesign();
  const { drops } = useDuctTree();
  const { groups } = useCuts();
  const system = useUnits();
  const nameOf = (run: string) => shop.ducts.runs.find(({ id }) => id === run)?.name ?? run;
  const gates = shop.ducts.runs.flatMap(({ id, name, gate, diameter }): LabelText[] => {
    if (!gate) return [];
    const behind = drops.filter(({ path }) => path.some((run) => run.id === id));
    const lines = [
      `Open for ${behind.map((drop) => drop.name).join(', ') || 'nothing yet'}`,
      `${formatShort(diameter, 'diameter', system)} gate`,
    ];
    return [{ id, title: name, lines }];
  });
  const pieces = groups
    .flatMap((group) => group.pieces)
    .toSorted((a, b) => a.number - b.number)
    .map(({ key, number, run, pipe, diameter, length }): LabelText => {
      const size = `${PIPES[pipe].name}, ${formatShort(diameter, 'diameter', system)}`;
      return {
        id: key,
        title: `${number}`,
        lines: [nameOf(run), `${tapeLength(length, system)} long`, size],
      };
    });
  const life = binLife(shop);
  const { height } = shop.collector.assembly.bin;
  const { fullAt } = shop.upkeep;
  const line =
    height === null
      ? `${Math.round(100 * fullAt)} % of its height`
      : `${tapeLength(fullAt * height, system)} above its bottom`;
  const bin: readonly LabelText[] = life
    ? [
        {
          id: 'bin',
          title: 'Max fill',
          lines: [`Empty at this line: ${line}`, 'Wear a respirator. No flame, no hot ash.'],
        },
      ]
    : [];
  return { gates, pieces, bin };
}
