'use client';

import { type ProfileStep, pressureProfile } from '@frank-gauge/core/analysis';
import { STYLES, toSI, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { ticks } from 'd3-array';
import { useState } from 'react';
import { useDesign, useDuctTree, useSelectedDrop, useUnits } from '@/model/use-design';
import { choose, useChoices } from '@/storage/choices';
import { Button } from '@/ui/button';
import { type LinearScale, linearScale } from '@/ui/linear-scale';
import { boxOfText, type Label, placeLabels } from '@/ui/place-labels';
import { Segmented } from '@/ui/segmented';
import { useSize } from '@/ui/use-size';
import { failureSentence } from '@/words/failure-words';
import { gather } from '../parts/gather-steps';
import { useOwnGates } from '../parts/own-gate';
import { stepLabel } from '../parts/step-label';
import { NAME_SIZE, placeNames } from './ladder-names';
import { gatesText, type Pinned, PinnedTable } from './pinned-table';

const HEIGHT = 266;
const TOP = 26;
const BOTTOM = 72;
/** The first row of names begins so far below the picture, clear of the numbers at its foot, px. */
const NAMES = 23;
const LEFT = 34;
const RIGHT = 6;

/**
 * The pressure ladder: the way of a drop's air from left to right, pressure as the height of one
 * line, each part a step labelled with its pressure drop.
 */
export function Ladder() {
  const system = useUnits();
  const units = useDesign(({ shop }) => shop.units);
  const tree = useDuctTree();
  const selected = useSelectedDrop();
  const pressure = useChoices((choices) => choices.pressure);
  const rule = useChoices((choices) => choices.rule);
  const [box, { width }] = useSize<HTMLDivElement>();
  const ownGates = useOwnGates();
  const [pinned, setPinned] = useState<Pinned | null>(null);
  if (!selected) return null;
  const title = `${selected.drop.name}, from hood to room`;
  const besides = ownGates.besides(selected.drop.id);
  const own =
    besides.length === 0 ? 'only its gate open' : `its gate and that of ${besides.join(', ')} open`;
  const open = rule === 'one' ? own : 'with the gates open now';
  const pin = () => {
    if (selected.kind !== 'judged') return;
    const { drop, solution, flow } = selected;
    const opened = rule === 'one' ? open : gatesText(tree);
    setPinned({
      name: `${drop.name}, ${opened}`,
      ...{ steps: pressureProfile(solution, drop), flow },
    });
  };
  return (
    <section>
      <div className="flex items-center gap-3">
        <h1 className="text-[18px]">{title}</h1>
        <span className="hidden text-quiet sm:inline xl:hidden 2xl:inline">{open}</span>
        <span className="ml-auto flex items-center gap-2">
          <Button
            look="quiet"
            onClick={pinned ? () => setPinned(null) : pin}
            disabled={selected.kind !== 'judged'}
            title="Keeps this ladder to compare another drop, other gates, or an edit with"
          >
            {pinned ? 'Unpin' : 'Pin'}
          </Button>
          <Segmented
            label="Pressure shown"
            value={pressure}
            options={[
              { value: 'static', label: 'Static' },
              { value: 'total', label: 'Total' },
            ]}
            onChange={(next) => choose({ pressure: next })}
          />
        </span>
      </div>
      <div ref={box} className="mt-1 min-h-60">
        {selected.kind === 'judged' ? (
          width > 0 && (
            <LadderPicture
              steps={gather(pressureProfile(selected.solution, selected.drop))}
              pinned={pinned ? gather(pinned.steps) : null}
              width={width}
              title={title}
            />
          )
        ) : (
          <p role="alert" className="max-w-prose pt-6 text-starved-text">
            {failureSentence(selected.reason, units)}
          </p>
        )}
      </div>
      {pinned && selected.kind === 'judged' && (
        <PinnedTable
          pinned={pinned}
          now={{
            name: selected.drop.name,
            steps: pressureProfile(selected.solution, selected.drop),
            flow: selected.flow,
          }}
        />
      )}
      <p className="sr-only">Pressures in {unitSymbol('pressure', system)}, below the room’s.</p>
    </section>
  );
}

/** Size of the pressure drops, px. */
const NUMBER = 12.5;

interface PictureProps {
  readonly steps: readonly ProfileStep[];
  /** Another ladder to compare with; null: none. */
  readonly pinned: readonly ProfileStep[] | null;
  readonly width: number;
  readonly title: string;
}

function LadderPicture({ steps, pinned, width, title }: PictureProps) {
  const system = useUnits();
  const tree = useDuctTree();
  const pressure = useChoices((choices) => choices.pressure);
  const style = STYLES[system].pressure;
  const before = (step: ProfileStep) =>
    pressure === 'static' ? step.staticBefore : step.totalBefore;
  const after = (step: ProfileStep) => (pressure === 'static' ? step.staticAfter : step.totalAfter);
  const levels = [...steps, ...(pinned ?? [])].flatMap((step) => [before(step), after(step)]);
  const ends = [Math.min(...levels), Math.max(...levels, 0)] as const;
  const y = linearScale(ends, [HEIGHT - BOTTOM, TOP], 5);
  const pitch = (width - LEFT - RIGHT) / steps.length;
  const x = (index: number) => LEFT + index * pitch;
  const most = Math.max(...steps.filter(({ kind }) => kind !== 'blower').map(({ loss }) => loss));
  const levelsShown = ticksInUnit(y.domain, toSI(1, style.unit));
  const names = placeNames(
    steps.map((step, i) => ({
      lines: stepLabel(step, tree, system),
      x: x(i) + pitch / 2,
      weight: Math.abs(step.loss),
    })),
    HEIGHT - BOTTOM,
    HEIGHT - BOTTOM + NAMES,
    width,
  );
  // The greatest first: where there is no room for all, the least are left out.
  const numbers = placeLabels(
    steps
      .map((step, i) => numberOf(step, x(i) + pitch / 2, y(before(step)), y(after(step)), style))
      .toSorted((a, b) => Math.abs(b.of.loss) - Math.abs(a.of.loss)),
    NUMBER,
    [],
  );
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={describe(steps)}>
      <title>{title}</title>
      <text x={LEFT} y={10} fontSize="12" fill="var(--quiet)">
        {unitSymbol('pressure', system)}, {pressure}
      </text>
      {levelsShown.map((tick) => (
        <g key={tick}>
          <line
            x1={LEFT}
            x2={width - RIGHT}
            y1={y(tick)}
            y2={y(tick)}
            stroke={tick === 0 ? 'var(--quiet)' : 'var(--rule)'}
          />
          <text x={LEFT - 5} y={y(tick) + 4} textAnchor="end" fontSize="12" fill="var(--quiet)">
            {writeNumber(tick, { ...style, places: 0 })}
          </text>
        </g>
      ))}
      {steps.map((step, i) => {
        const from = y(before(step));
        const to = y(after(step));
        const isBlower = step.kind === 'blower';
        // The more of the blower's pressure a part takes, the deeper its tone.
        const weight = isBlower ? 0 : 0.25 + 0.6 * Math.max(0, step.loss / most);
        const key = `${step.run} ${step.kind} ${i}`;
        return (
          <g key={key}>
            {!isBlower && (
              <rect
                x={x(i) + 1}
                width={Math.max(pitch - 2, 1)}
                y={Math.min(from, to)}
                height={Math.abs(to - from)}
                fill="var(--enough)"
                opacity={weight}
              />
            )}
            <line
              x1={x(i)}
              x2={x(i + 1)}
              y1={from}
              y2={to}
              stroke="var(--ink)"
              strokeWidth={isBlower ? 3 : 2}
              strokeLinecap="round"
            />
          </g>
        );
      })}
      {pinned && (
        <polyline
          points={pinned
            .flatMap((step, i) => {
              const at = (place: number) => LEFT + (place * (width - LEFT - RIGHT)) / pinned.length;
              return [`${at(i)},${y(before(step))}`, `${at(i + 1)},${y(after(step))}`];
            })
            .join(' ')}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
      )}
      {numbers.map(({ of, text, at }) => (
        <text
          key={steps.indexOf(of)}
          x={at.x}
          y={at.y}
          textAnchor="middle"
          dominantBaseline="central"
          fontSize={NUMBER}
          fontWeight="600"
          fill="var(--ink)"
        >
          {text}
        </text>
      ))}
      {names.map(({ lines, leader }) => (
        <g key={lines.map(({ text, x }) => `${text} ${x}`).join(' ')}>
          {leader && (
            <line
              x1={leader.from.x}
              x2={leader.to.x}
              y1={leader.from.y}
              y2={leader.to.y}
              stroke="var(--rule)"
            />
          )}
          {lines.map(({ text, x, y }) => (
            <text
              key={y}
              x={x}
              y={y}
              textAnchor="middle"
              dominantBaseline="central"
              fontSize={NAME_SIZE}
              fill="var(--quiet)"
            >
              {text}
            </text>
          ))}
        </g>
      ))}
    </svg>
  );
}

/** A step's pressure drop: the blower's beside its line, another's over or below where its line ends. */
function numberOf(
  step: ProfileStep,
  middle: number,
  from: number,
  to: number,
  style: Parameters<typeof writeNumber>[1],
): Label<ProfileStep> {
  if (step.kind === 'blower') {
    const text = `+${writeNumber(-step.loss, style)}`;
    const half = boxOfText(text, { x: 0, y: 0 }, NUMBER).x1;
    return {
      of: step,
      text,
      places: [{ x: middle - 6 - half, y: (from + to) / 2 }],
      isNeeded: true,
    };
  }
  const over = { x: middle, y: Math.min(from, to) - 8 };
  const below = { x: middle, y: Math.max(from, to) + 9 };
  const isOver = step.kind === 'exhaust' || to < from;
  return {
    of: step,
    text: writeNumber(step.loss, style),
    places: isOver ? [over, below] : [below, over],
  };
}

/** Whole steps of the unit between the ends, at most seven. */
function ticksInUnit([low, high]: LinearScale['domain'], unit: number): number[] {
  return ticks(low / unit, high / unit, 6).map((tick) => tick * unit);
}

const describe = (steps: readonly ProfileStep[]) =>
  `Pressure ladder of ${steps.length} parts, from the hood through the blower back to the room`;
