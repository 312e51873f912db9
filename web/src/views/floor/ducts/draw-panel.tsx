'use client';

import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { ductHeight, type Point3, runFromPort } from '@frank-gauge/core/routing';
import { useState } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { FieldLine, Line } from '../../parts/line';
import { catchesOf, endAt, finishOpen } from './draw-layer';
import {
  addPoint,
  type Begun,
  begin,
  chooseTool,
  drawAt,
  removeLast,
  useDrawing,
} from './drawing-state';
import { type Ducts, useDucts } from './use-ducts';

const DIRECTIONS = {
  right: { name: 'to the right', x: 1, y: 0, z: 0 },
  left: { name: 'to the left', x: -1, y: 0, z: 0 },
  back: { name: 'to the back', x: 0, y: 1, z: 0 },
  front: { name: 'to the front', x: 0, y: -1, z: 0 },
  up: { name: 'up', x: 0, y: 0, z: 1 },
  down: { name: 'down', x: 0, y: 0, z: -1 },
  backRight: { name: 'back right, 45°', x: Math.SQRT1_2, y: Math.SQRT1_2, z: 0 },
  backLeft: { name: 'back left, 45°', x: -Math.SQRT1_2, y: Math.SQRT1_2, z: 0 },
  frontRight: { name: 'front right, 45°', x: Math.SQRT1_2, y: -Math.SQRT1_2, z: 0 },
  frontLeft: { name: 'front left, 45°', x: -Math.SQRT1_2, y: -Math.SQRT1_2, z: 0 },
} as const;

type Direction = keyof typeof DIRECTIONS;

const DIRECTION_OPTIONS = (Object.keys(DIRECTIONS) as Direction[]).map((value) => ({
  value,
  label: DIRECTIONS[value].name,
}));

/** The duct that is being drawn, by fields: all that the pointer does can be typed here. */
export function DrawPanel() {
  const shop = useDesign();
  const system = useUnits();
  const ducts = useDucts();
  const { begun, points, height, refusal } = useDrawing();
  const z = height ?? ductHeight(shop);
  const ends = endsOf(shop, ducts);
  return (
    <section aria-label="Draw a duct">
      <h2 className="text-[18px]">Draw a duct</h2>
      <p className="pt-1 text-[14px] text-quiet">
        {begun
          ? 'Click where it turns; click a duct, the collector or a port to end it there. Hold Alt for any angle; Backspace removes the last point.'
          : 'Click a port, the collector or a duct to start, or choose it here.'}
      </p>
      <FieldLine
        label="Height"
        of="new points"
        value={z}
        kind="length"
        min={0}
        max={20}
        saves={false}
        onChange={(next) => {
          // Drawn on at another height, it rises or drops where it is.
          const last = points.at(-1);
          if (last && last.z !== next) addPoint({ ...last, z: next });
          drawAt(next);
        }}
      />
      {begun ? (
        <Legs begun={begun} points={points} ends={ends} system={system} />
      ) : (
        <Line label="Start at">
          <Choice
            label="Start at"
            value=""
            options={[
              { value: '', label: 'choose' },
              ...ends.map(({ name }, i) => ({ value: String(i), label: name })),
            ]}
            onChange={(value) => begin(ends[Number(value)] ?? null)}
          />
        </Line>
      )}
      {refusal && (
        <p role="alert" className="pt-2 text-[14px] text-starved-text">
          ▼ {refusal}
        </p>
      )}
      <div className="pt-2">
        <Button look="quiet" onClick={() => chooseTool('move')}>
          Stop drawing
        </Button>
      </div>
    </section>
  );
}

/** Ports, the collector, joints; and the middle of every drawn run. */
function endsOf(shop: Parameters<typeof catchesOf>[0], ducts: Ducts): Begun[] {
  const runs = ducts.drawn.flatMap(({ run, legs }): Begun[] => {
    const [longest] = legs.toSorted((a, b) => b.length - a.length);
    if (!longest) return [];
    const at = {
      x: (longest.from.x + longest.to.x) / 2,
      y: (longest.from.y + longest.to.y) / 2,
      z: (longest.from.z + longest.to.z) / 2,
    };
    return [{ end: { kind: 'run', run: run.id, at }, at, from: at, name: `${run.name}, halfway` }];
  });
  return [...catchesOf(shop, ducts), ...runs].filter(
    ({ end }) => end.kind !== 'port' || !runFromPort(shop, end.machine, end.port),
  );
}

interface LegsProps {
  readonly begun: Begun;
  readonly points: readonly Point3[];
  readonly ends: readonly Begun[];
  readonly system: UnitSystem;
}

/** The legs so far, the next one by way and length, and what it ends at. */
function Legs({ begun, points, ends, system }: LegsProps) {
  const shop = useDesign();
  const [direction, setDirection] = useState<Direction>('left');
  const [length, setLength] = useState(1);
  const [goal, setGoal] = useState('open');
  const height = useDrawing((drawing) => drawing.height) ?? ductHeight(shop);
  const write = (value: number) => formatShort(value, 'length', system);
  const last = points.at(-1) ?? { ...begun.from, z: height };
  const add = () => {
    const { x, y, z } = DIRECTIONS[direction];
    addPoint({
      x: last.x + x * length,
      y: last.y + y * length,
      z: Math.max(0, last.z + z * length),
    });
  };
  const finish = () => {
    const end = ends[Number(goal)];
    if (goal === 'open') finishOpen();
    else if (end) endAt(begun, end.end, points);
  };
  return (
    <>
      <p className="pt-1">From {begun.name}</p>
      <ol className="text-[14px]">
        {points.map(({ x, y, z }, i) => (
          <li key={`${i} ${x} ${y} ${z}`}>
            to {write(x)}, {write(y)}, {write(z)} up
          </li>
        ))}
      </ol>
      <Line label="Next leg">
        <Choice
          label="Next leg, direction"
          value={direction}
          options={DIRECTION_OPTIONS}
          onChange={setDirection}
        />
      </Line>
      <FieldLine
        label="Length"
        of="next leg"
        value={length}
        kind="length"
        min={0}
        isMinExcluded
        max={100}
        saves={false}
        onChange={setLength}
      />
      <div className="flex gap-1.5 pt-1">
        <Button onClick={add}>Add leg</Button>
        <Button look="quiet" onClick={removeLast}>
          Remove last point
        </Button>
      </div>
      <Line label="Ends at">
        <Choice
          label="Ends at"
          value={goal}
          options={[
            { value: 'open', label: 'an open end here' },
            ...ends.map(({ name }, i) => ({ value: String(i), label: name })),
          ]}
          onChange={setGoal}
        />
      </Line>
      <Button look="solid" className="mt-1" onClick={finish}>
        Finish duct
      </Button>
    </>
  );
}
