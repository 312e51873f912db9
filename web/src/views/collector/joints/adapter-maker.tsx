'use client';

import {
  type Adapter,
  type AdapterEnd,
  adapterSection,
  checkRing,
  type JointEnd,
  type JointPlace,
  revolvedStl,
  type SectionPoint,
  USUAL_CLEARANCE,
  USUAL_TAPER,
} from '@frank-gauge/core/assembly';
import { toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { fileStem } from '@/storage/file-stem';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { endWord } from '@/words/fit-words';
import { FieldLine, Line } from '../../parts/line';
import { SectionPicture } from './section-picture';

/** How far a printed end overlaps, and its wall, m: usual for parts as wide as a hand. */
const OVERLAP = { us: toSI(1.5, 'in'), metric: 0.035 } as const;
const WALL = 2.4e-3;

const endOf = ({ isFlexible, inside, outside }: JointEnd, length: number): AdapterEnd =>
  isFlexible
    ? { diameter: inside, goes: 'inside', length }
    : { diameter: outside, goes: 'over', length };

/** An adapter to start from: for a joint, or over one pipe and into another of a usual size. */
function startingAdapter(joint: JointPlace | null, system: UnitSystem): Adapter {
  const length = OVERLAP[system];
  const diameter = system === 'us' ? toSI(4, 'in') : 0.1;
  return {
    ends: joint
      ? [endOf(joint.upstream, length), endOf(joint.downstream, length)]
      : [
          { diameter, goes: 'over', length },
          { diameter, goes: 'inside', length },
        ],
    wall: WALL,
    clearance: USUAL_CLEARANCE,
    taper: USUAL_TAPER,
  };
}

/** A round adapter by its numbers, to be printed; with a ring for each end to try it first. */
export function AdapterMaker({ joint }: { readonly joint: JointPlace | null }) {
  const system = useUnits();
  const [adapter, setAdapter] = useState(() => startingAdapter(joint, system));
  const section = adapterSection(adapter);
  const name = joint ? `${endWord(joint.upstream)} to ${endWord(joint.downstream)}` : 'adapter';
  const save = (outline: readonly SectionPoint[], suffix: string) =>
    saveFile(`${fileStem(name)}${suffix}.stl`, revolvedStl(outline, name), 'model/stl');
  const setEnd = (index: 0 | 1, change: Partial<AdapterEnd>) =>
    setAdapter((before) => {
      const [first, second] = before.ends;
      const ends =
        index === 0
          ? ([{ ...first, ...change }, second] as const)
          : ([first, { ...second, ...change }] as const);
      return { ...before, ends };
    });
  return (
    <div className="space-y-1">
      {([0, 1] as const).map((index) => (
        <EndFields
          key={index}
          name={index === 0 ? 'First' : 'Second'}
          end={adapter.ends[index]}
          onChange={(change) => setEnd(index, change)}
        />
      ))}
      <FieldLine
        label="Wall thickness"
        of="adapter"
        value={adapter.wall}
        kind="thickness"
        min={0}
        max={0.05}
        saves={false}
        onChange={(wall) => setAdapter((before) => ({ ...before, wall }))}
      />
      <FieldLine
        label="Clearance"
        of="adapter"
        value={adapter.clearance}
        kind="thickness"
        min={0}
        max={0.01}
        saves={false}
        onChange={(clearance) => setAdapter((before) => ({ ...before, clearance }))}
      />
      <FieldLine
        label="Taper per side"
        of="adapter"
        value={adapter.taper}
        kind="angle"
        min={0}
        max={Math.PI / 2}
        saves={false}
        onChange={(taper) => setAdapter((before) => ({ ...before, taper }))}
      />
      {section.ok ? (
        <>
          <SectionPicture section={section} system={system} />
          <div className="flex flex-wrap gap-1.5">
            <Button onClick={() => save(section.outline, '')}>Save as STL</Button>
            {([0, 1] as const).map((end) => (
              <Button
                key={end}
                look="quiet"
                onClick={() => {
                  const ring = checkRing(adapter, end);
                  if (ring.ok) save(ring.outline, ` ring ${end + 1}`);
                }}
              >
                Save test ring, {end === 0 ? 'first' : 'second'} end
              </Button>
            ))}
          </div>
          <p className="text-[14px] text-quiet">
            STL files are in millimeters. Print a test ring first: printers and pipes vary. Plastic
            builds up static; keep embers and sparks out of the duct.
          </p>
        </>
      ) : (
        <p role="alert" className="text-starved-text">
          {section.reason}
        </p>
      )}
    </div>
  );
}

interface EndFieldsProps {
  readonly name: string;
  readonly end: AdapterEnd;
  readonly onChange: (change: Partial<AdapterEnd>) => void;
}

function EndFields({ name, end, onChange }: EndFieldsProps) {
  return (
    <>
      <Line label={`${name} end`}>
        <Choice
          label={`${name} end, fit`}
          value={end.goes}
          options={[
            { value: 'over', label: 'over a pipe' },
            { value: 'inside', label: 'into a pipe or hose' },
          ]}
          onChange={(goes) => onChange({ goes })}
        />
      </Line>
      <FieldLine
        label={end.goes === 'over' ? 'Pipe outside diameter' : 'Pipe inside diameter'}
        of={`${name} end`}
        value={end.diameter}
        kind="diameter"
        min={0.005}
        max={2}
        saves={false}
        onChange={(diameter) => onChange({ diameter })}
      />
      <FieldLine
        label="Overlap"
        of={`${name} end`}
        value={end.length}
        kind="diameter"
        min={0}
        max={1}
        saves={false}
        onChange={(length) => onChange({ length })}
      />
    </>
  );
}
