'use client';

import { PIPE_IDS, PIPES } from '@frank-gauge/core/catalogue';
import { newGate, type Run, setGate } from '@frank-gauge/core/design';
import { type UnitSystem, unitSymbol } from '@frank-gauge/core/quantity';
import { ChevronDown, ChevronRight } from 'lucide-react';
import dynamic from 'next/dynamic';
import { type ReactNode, useRef } from 'react';
import { QuantityField } from '@/fields/quantity-field';
import { useDesign, useDuctTree, useSelectedDrop, useUnits } from '@/model/use-design';
import { chooseDrop, choosePart, useChoices } from '@/storage/choices';
import { edit } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { PartLoading } from '@/ui/part-loading';
import { useNear } from '@/ui/use-near';
import { useWide } from '@/ui/use-wide';
import { editRun, editTyped } from '../../parts/edit-runs';

export const loadRunDetails = () => import('./run-details').then((module) => module.RunDetails);

const RunDetails = dynamic(loadRunDetails, { loading: PartLoading });

const PIPE_OPTIONS = PIPE_IDS.map((value) => ({ value, label: PIPES[value].short }));

interface Props {
  readonly run: Run;
  readonly depth: number;
  /** Its place in the list, from 0. */
  readonly index: number;
}

/**
 * One run, editable where it stands; its finer points open below it. Far out of sight it is its name
 * alone: in a hall of sixty machines the fields of all runs are half of what the page is made of.
 */
export function RunLine({ run, depth, index }: Props) {
  const shopId = useDesign((shop) => shop.id);
  const tree = useDuctTree();
  const selected = useSelectedDrop();
  const part = useChoices((choices) => choices.parts[shopId]);
  const line = useRef<HTMLLIElement>(null);
  const isNear = useNear(line, index);
  // On a phone a run with its fields is higher than its name, and the page would move.
  const isWide = useWide();
  const isOpen = part === run.id;
  const isOnRoute = selected?.drop.path.includes(run) ?? false;
  const drop = tree.drops.find(({ path }) => path[0] === run);
  const Mark = isOpen ? ChevronDown : ChevronRight;
  const toggle = () => {
    choosePart(shopId, isOpen ? '' : run.id);
    if (drop) chooseDrop(shopId, drop.id);
  };
  return (
    <li
      ref={line}
      className={`border-rule border-b ${isOpen ? 'bg-selection' : ''} ${isOnRoute ? 'shadow-[inset_3px_0_0_var(--ink)]' : ''}`}
    >
      <div className="grid grid-cols-3 items-end md:items-center gap-x-1 px-2 py-1 md:grid-cols-[1fr_60px_46px_54px_30px_52px_24px] md:py-0">
        <button
          type="button"
          aria-expanded={isOpen}
          onClick={toggle}
          style={{ paddingLeft: depth * 12 }}
          className={`col-span-3 flex min-h-11 min-w-0 items-center gap-0.5 text-left md:col-span-1 md:min-h-7 ${isOnRoute ? 'font-semibold' : ''}`}
        >
          <Mark size={14} aria-hidden className="shrink-0 text-quiet" />
          <span className="truncate" title={run.name}>
            {run.name}
          </span>
        </button>
        {(isNear || isOpen || !isWide) && <RunFields run={run} />}
      </div>
      {isOpen && <RunDetails run={run} />}
    </li>
  );
}

/** Feet and inches carry their own marks. */
const lengthCaption = (what: string, system: UnitSystem) =>
  system === 'metric' ? `${what}, m` : what;

/** What is typed most of a run: its size, its pipe, its hose, its gate. */
function RunFields({ run }: { readonly run: Run }) {
  const shopId = useDesign((shop) => shop.id);
  const system = useUnits();
  const bends = run.fittings.reduce((sum, fitting) => sum + fitting.count, 0);
  return (
    <>
      <Cell caption={lengthCaption('length', system)}>
        <QuantityField
          label={`Length of ${run.name}`}
          value={run.length ?? 0}
          kind="length"
          system={system}
          hasUnit={false}
          min={0}
          max={500}
          onChange={(length) =>
            editTyped(run, 'length', (own) => {
              own.length = length;
            })
          }
        />
      </Cell>
      <Cell caption={`Ø inside, ${unitSymbol('diameter', system)}`}>
        <QuantityField
          label={`Inside diameter of ${run.name}`}
          value={run.diameter}
          kind="diameter"
          system={system}
          hasUnit={false}
          min={0.01}
          max={2}
          onChange={(diameter) =>
            editRun(run, 'diameter', (own) => {
              own.diameter = diameter;
            })
          }
        />
      </Cell>
      <Cell caption="pipe">
        <Choice
          label={`Pipe of ${run.name}`}
          value={run.pipe}
          options={PIPE_OPTIONS}
          onChange={(pipe) =>
            editRun(run, 'pipe', (own) => {
              own.pipe = pipe;
            })
          }
        />
      </Cell>
      <Cell caption="bends">
        <button
          type="button"
          onClick={() => choosePart(shopId, run.id)}
          aria-label={`Bends of ${run.name}: ${bends}`}
          className="min-h-11 border-rule border-b px-1 text-left hover:bg-selection md:min-h-7"
        >
          {bends === 0 ? '–' : `${bends} ×`}
        </button>
      </Cell>
      <Cell caption={lengthCaption('hose', system)}>
        <QuantityField
          label={`Hose of ${run.name}`}
          value={run.hose?.length ?? null}
          kind="length"
          system={system}
          hasUnit={false}
          min={0}
          isMinExcluded
          max={100}
          placeholder="–"
          onChange={(length) =>
            editTyped(run, 'hose', (own) => {
              if (own.hose) own.hose.length = length;
              else own.hose = { kind: 'ribbed', length, diameter: own.diameter, compression: 0 };
            })
          }
          onClear={() =>
            editTyped(run, 'hose', (own) => {
              own.hose = null;
            })
          }
        />
      </Cell>
      <Cell caption="gate">
        <GateMark run={run} />
      </Cell>
    </>
  );
}

/** A field of the line; on a phone, where there is no heading above, with its name. */
function Cell({ caption, children }: { readonly caption: string; readonly children: ReactNode }) {
  return (
    <span
      data-caption={caption}
      className="grid min-w-0 before:text-[13px] before:text-quiet max-md:before:content-[attr(data-caption)/'']"
    >
      {children}
    </span>
  );
}

/** The run's gate, to be opened and shut; a run without one can be given one. */
function GateMark({ run }: { readonly run: Run }) {
  const { gate } = run;
  if (!gate) {
    return (
      <button
        type="button"
        aria-label={`Put a gate in ${run.name}`}
        title="Put a gate in"
        onClick={() =>
          editRun(run, 'gate', (own) => {
            own.gate = newGate(true);
          })
        }
        className="min-h-11 text-center text-quiet hover:bg-selection md:min-h-7"
      >
        +
      </button>
    );
  }
  return (
    <button
      type="button"
      aria-pressed={gate.open}
      aria-label={`Gate of ${run.name}`}
      title={gate.open ? 'open' : 'shut'}
      onClick={() =>
        edit(`${gate.open ? 'shut' : 'open'} ${run.name}`, (draft) =>
          setGate(draft, run.id, !gate.open),
        )
      }
      className="min-h-11 text-center hover:bg-selection aria-pressed:text-enough-text md:min-h-7"
    >
      <span aria-hidden>{gate.open ? '●' : '○'}</span>
    </button>
  );
}
