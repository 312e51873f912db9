'use client';

import { type ProfileStep, pressureProfile } from '@frank-gauge/core/analysis';
import { STYLES, toSI, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { scaleLinear } from 'd3-scale';
import { useDesign, useDuctTree, useSelectedDrop, useUnits } from '@/model/use-design';
import { choose, useChoices } from '@/storage/choices';
import { boxOfText, type PlacedLabel, placeLabels } from '@/ui/place-labels';
import { Segmented } from '@/ui/segmented';
import { useSize } from '@/ui/use-size';
import { failureSentence } from '@/words/failure-words';
import { gather } from '../parts/gather-steps';
import { stepLabel } from '../parts/step-label';

const HEIGHT = 240;
const TOP = 26;
const BOTTOM = 44;
const LEFT = 34;
const RIGHT = 6;

/**
 * The pressure ladder: the way of a drop's air from left to right, pressure as the height of one
 * line, each part a step labelled with its pressure drop.
 */
export function Ladder() {
  const system = useUnits();
  const units = useDesign(({ shop }) => shop.units);
  const selected = useSelectedDrop();
  const pressure = useChoices((choices) => choices.pressure);
  const rule = useChoices((choices) => choices.rule);
  const [box, { width }] = useSize<HTMLDivElement>();
  if (!selected) return null;
  const title = `${selected.drop.name}, from hood to room`;
  return (
    <section>
      <div className="flex items-center gap-3">
        <h1 className="text-[18px]">{title}</h1>
        <span className="hidden text-quiet sm:inline">
          {rule === 'one' ? 'only its gate open' : 'with the gates open now'}
        </span>
        <span className="ml-auto">
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
      <p className="sr-only">Pressures in {unitSymbol('pressure', system)}, below the room’s.</p>
    </section>
  );
}

/** Size of the names of the steps, px. */
const LABEL = 11;

interface PictureProps {
  readonly steps: readonly ProfileStep[];
  readonly width: number;
  readonly title: string;
}

function LadderPicture({ steps, width, title }: PictureProps) {
  const system = useUnits();
  const tree = useDuctTree();
  const pressure = useChoices((choices) => choices.pressure);
  const style = STYLES[system].pressure;
  const before = (step: ProfileStep) =>
    pressure === 'static' ? step.staticBefore : step.totalBefore;
  const after = (step: ProfileStep) => (pressure === 'static' ? step.staticAfter : step.totalAfter);
  const levels = steps.flatMap((step) => [before(step), after(step)]);
  const y = scaleLinear()
    .domain([Math.min(...levels), Math.max(...levels, 0)])
    .nice(5)
    .range([HEIGHT - BOTTOM, TOP]);
  const pitch = (width - LEFT - RIGHT) / steps.length;
  const x = (index: number) => LEFT + index * pitch;
  const most = Math.max(...steps.filter(({ kind }) => kind !== 'blower').map(({ loss }) => loss));
  const ticks = ticksInUnit(y.domain(), toSI(1, style.unit));
  const labels = labelsBelow(
    steps.map((step, i) => ({
      lines: stepLabel(step, tree, system),
      x: x(i) + pitch / 2,
      weight: Math.abs(step.loss),
    })),
  );
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={describe(steps)}>
      <title>{title}</title>
      <text x={LEFT} y={10} fontSize="12" fill="var(--quiet)">
        {unitSymbol('pressure', system)}, {pressure}
      </text>
      {ticks.map((tick) => (
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
        const labelAtTop = step.kind === 'exhaust' || to < from;
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
            <text
              x={x(i) + pitch / 2}
              y={
                isBlower
                  ? (from + to) / 2
                  : labelAtTop
                    ? Math.min(from, to) - 4
                    : Math.max(from, to) + 13
              }
              dx={isBlower ? -6 : 0}
              textAnchor={isBlower ? 'end' : 'middle'}
              fontSize="12.5"
              fontWeight="600"
              fill="var(--ink)"
            >
              {isBlower ? `+${writeNumber(-step.loss, style)}` : writeNumber(step.loss, style)}
            </text>
          </g>
        );
      })}
      {labels.map(({ of, text, at }) => (
        <text
          key={of}
          x={at.x}
          y={at.y}
          textAnchor="middle"
          dominantBaseline="central"
          fontSize={LABEL}
          fill="var(--quiet)"
        >
          {text}
        </text>
      ))}
    </svg>
  );
}

interface LabelOfStep {
  readonly lines: readonly string[];
  readonly x: number;
  /** What matters most is named first, where there is no room for all. */
  readonly weight: number;
}

/** The names of the steps below the picture, none on another: those of little weight give way. */
function labelsBelow(steps: readonly LabelOfStep[]): PlacedLabel<string>[] {
  const placed: PlacedLabel<string>[] = [];
  for (const { lines, x } of steps.toSorted((a, b) => b.weight - a.weight)) {
    const taken = placed.map(({ text, at }) => boxOfText(text, at, LABEL));
    const own = lines.map((text, row) => ({
      of: `${x} ${row}`,
      text,
      places: [{ x, y: HEIGHT - BOTTOM + 13 + row * 12 }],
    }));
    const [first, ...more] = own.map((line) => placeLabels([line], LABEL, [], taken)[0]);
    // What belongs to a name says nothing without it.
    if (first) placed.push(first, ...more.filter((line) => line !== undefined));
  }
  return placed;
}

/** Whole steps of the unit between the ends, at most seven. */
function ticksInUnit([low = 0, high = 0]: number[], unit: number): number[] {
  return scaleLinear()
    .domain([low / unit, high / unit])
    .ticks(6)
    .map((tick) => tick * unit);
}

const describe = (steps: readonly ProfileStep[]) =>
  `Pressure ladder of ${steps.length} parts, from the hood through the blower back to the room`;
