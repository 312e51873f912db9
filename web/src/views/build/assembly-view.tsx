'use client';

import { type AssemblyGroup, type AssemblyStep, assemblyOrder } from '@frank-gauge/core/build';
import { writeTable } from '@frank-gauge/core/spreadsheet';
import { useMemo } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { insideWords, placeWords, sealWords } from '@/words/assembly-words';
import { ListHead } from './list-head';
import { NothingToBuild } from './nothing-to-build';
import { useCuts } from './use-cuts';

/** Everything that is put together, from the collector outward, ticked off twice: fitted dry, and sealed. */
export function AssemblyView() {
  const shop = useDesign();
  const tree = useDuctTree();
  const groups = useMemo(() => assemblyOrder(shop, tree), [shop, tree]);
  return shop.ducts.runs.length === 0 ? <NothingToBuild /> : <Assembly groups={groups} />;
}

function Assembly({ groups }: { readonly groups: readonly AssemblyGroup[] }) {
  const { fitted, sealed } = useDesign(({ build }) => build);
  const system = useUnits();
  const nameOf = useGroupNames();
  const all = groups.flatMap(({ steps }) => steps);
  const count = (ticks: readonly string[]) => all.filter(({ id }) => ticks.includes(id)).length;
  const save = () => {
    const data = groups.flatMap(({ run, steps }) =>
      steps.map((step) => [
        nameOf(run),
        placeWords(step, system),
        insideWords(step),
        sealWords(step, system),
        step.opensAgain ? 'yes' : '',
        fitted.includes(step.id) ? 'yes' : '',
        sealed.includes(step.id) ? 'yes' : '',
      ]),
    );
    const header = ['Run', 'Joint', 'What goes inside', 'Closed with', 'Opens again'];
    saveFile('assembly.csv', writeTable([...header, 'Dry-fitted', 'Sealed'], data), 'text/csv');
  };
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <ListHead title="Assembly" onSave={save}>
        <p role="status" className="text-[17px]">
          {count(fitted)} of {all.length} joints dry-fitted, {count(sealed)} sealed
        </p>
      </ListHead>
      <p className="max-w-prose text-[15px]">
        Put everything together dry first, from the collector outward, and hang it. Seal only when
        every drop reaches its machine. Cut sheet metal is sharp: wear gloves. A joint that has to
        open again gets a gasket, a clamp or tape, never silicone.
      </p>
      {groups.map((group) => (
        <Group key={group.run ?? ''} group={group} name={nameOf(group.run)} />
      ))}
    </div>
  );
}

function useGroupNames(): (run: string | null) => string {
  const runs = useDesign((shop) => shop.ducts.runs);
  return (id) => (id === null ? 'The collector' : (runs.find((run) => run.id === id)?.name ?? id));
}

type Ticks = 'fitted' | 'sealed';
const TICKS = { fitted: 'Dry-fitted', sealed: 'Sealed' } as const;

/** Ticks joints off, or takes the ticks away. A joint that is sealed was fitted before; one not fitted is not sealed. */
function tick(of: Ticks, ids: readonly string[], isDone: boolean): void {
  edit(of === 'fitted' ? 'joint fitted dry' : 'joint sealed', ({ build }) => {
    const others = (ticks: readonly string[]) => ticks.filter((each) => !ids.includes(each));
    if (isDone) {
      build.fitted = [...others(build.fitted), ...ids];
      if (of === 'sealed') build.sealed = [...others(build.sealed), ...ids];
      return;
    }
    build.sealed = others(build.sealed);
    if (of === 'fitted') build.fitted = others(build.fitted);
  });
}

function Group({ group, name }: { readonly group: AssemblyGroup; readonly name: string }) {
  const { groups: cuts } = useCuts();
  const { fitted, sealed } = useDesign(({ build }) => build);
  const ids = group.steps.map(({ id }) => id);
  const numbers = cuts
    .flatMap(({ pieces }) => pieces)
    .flatMap(({ run, number }) => (run === group.run ? [number] : []))
    .sort((a, b) => a - b);
  const all = (of: Ticks, ticks: readonly string[]) => {
    const isDone = ids.every((id) => ticks.includes(id));
    return (
      <Button
        look="quiet"
        aria-label={`All ${of}: ${name}`}
        disabled={isDone}
        onClick={() => tick(of, ids, true)}
      >
        All {of}
      </Button>
    );
  };
  return (
    <section aria-label={name} className="max-w-220 break-inside-avoid-page pt-4">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-[17px]">{name}</h2>
        {numbers.length > 0 && (
          <span className="text-[14px] text-quiet">
            {numbers.length === 1 ? 'piece' : 'pieces'} {numbers.join(', ')}
          </span>
        )}
        <span className="ml-auto flex gap-2 print:hidden">
          {all('fitted', fitted)}
          {all('sealed', sealed)}
        </span>
      </div>
      <table aria-label={`Joints, ${name}`} className="w-full text-[15px]">
        <thead>
          <tr className="border-ink border-b text-left text-[14px] text-quiet">
            <th className="w-12 font-normal">dry</th>
            <th className="w-14 font-normal">sealed</th>
            <th className="font-normal">joint</th>
          </tr>
        </thead>
        <tbody>
          {group.steps.map((step) => (
            <StepRow key={step.id} step={step} name={name} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function StepRow({ step, name }: { readonly step: AssemblyStep; readonly name: string }) {
  const system = useUnits();
  const build = useDesign((shop) => shop.build);
  const place = placeWords(step, system);
  const inside = insideWords(step);
  const closed = sealWords(step, system);
  const box = (of: Ticks) => (
    <td className="align-top">
      <input
        type="checkbox"
        aria-label={`${TICKS[of]}: ${name}, ${place}`}
        className="m-2 size-5 accent-ink md:size-4"
        checked={build[of].includes(step.id)}
        onChange={(event) => tick(of, [step.id], event.target.checked)}
      />
    </td>
  );
  const isDone = build.sealed.includes(step.id);
  return (
    <tr className={`border-rule border-b ${isDone ? 'text-quiet' : ''}`}>
      {box('fitted')}
      {box('sealed')}
      <td className="py-1">
        {place}
        {step.opensAgain && <span className="text-quiet"> (opens again)</span>}
        <span className="block text-[14px] text-quiet">
          {inside === '' ? '' : `${inside}; `}closed with {closed}
        </span>
      </td>
    </tr>
  );
}
