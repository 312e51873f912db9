'use client';

import { suctionStrength } from '@frank-gauge/core/analysis';
import {
  assemblyMasses,
  binVolume,
  bracketLoad,
  type Conflict,
  GRAVITY,
} from '@frank-gauge/core/assembly';
import { formatShort, fromSI, STYLES, toSI } from '@frank-gauge/core/quantity';
import type { ReactNode } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { conflictMessage } from '@/words/conflict-words';
import { tapeLength } from '@/words/tape-length';
import { useCollector } from '../../parts/edited-collector';
import { useElevation } from '../../parts/use-elevation';

const MARKS: Record<Conflict['severity'], { sign: string; says: string }> = {
  serious: { sign: '▼', says: 'does not fit' },
  caution: { sign: '◆', says: 'caution' },
  note: { sign: '·', says: 'note' },
};

/** What the elevation says in sentences and numbers: what does not fit first. */
export function AssemblyLedger() {
  const system = useUnits();
  const { conflicts } = useElevation();
  return (
    <>
      <h2 className="text-[18px]">Heights and handling</h2>
      <Figures />
      <Suction />
      <h2 className="pt-4 text-[18px]">Issues</h2>
      {conflicts.length === 0 ? (
        <p className="pt-1">
          <span className="text-enough-text">●</span> Everything described so far fits.
        </p>
      ) : (
        <ul className="space-y-2 pt-1">
          {conflicts.map((conflict) => {
            const { title, text } = conflictMessage(conflict, system);
            const { sign, says } = MARKS[conflict.severity];
            const isSerious = conflict.severity === 'serious';
            return (
              <li key={`${conflict.kind} ${conflict.part} ${conflict.wanted}`}>
                <p className={`font-semibold ${isSerious ? 'text-starved-text' : ''}`}>
                  <span aria-hidden>{sign}</span> <span className="sr-only">{says}: </span>
                  {title}
                </p>
                <p>{text}</p>
              </li>
            );
          })}
        </ul>
      )}
      <p className="pt-4 text-[14px] text-quiet">
        Unplug before you lift or open anything. Wear a respirator when emptying. Screw loads assume
        softwood studs and count vibration twice; a builder and your local code decide.
      </p>
    </>
  );
}

/** Heights, floor, masses and the bracket's load, a line each. */
function Figures() {
  const system = useUnits();
  const { parts } = useCollector();
  const { elevation } = useElevation();
  const length = (value: number) => tapeLength(value, system);
  const mass = (value: number) => formatShort(value, 'mass', system);
  const masses = assemblyMasses(parts);
  const { ceiling, height, floor, sizes } = elevation;
  const coupling = elevation.joints.find(({ part }) => part === 'coupling');
  const bracket = bracketLoad(parts.assembly.cleat, sizes.blower.weight, sizes.blower.housing / 2);
  const hasBin = parts.separator.kind !== 'none';
  return (
    <dl className="pt-1">
      <Figure name="height">
        {length(height)}
        {ceiling !== null &&
          (ceiling >= height
            ? `, ${length(ceiling - height)} free`
            : `, ${length(height - ceiling)} too high`)}
      </Figure>
      <Figure name="floor">
        {length(floor.width)} × {length(floor.depth)}
      </Figure>
      {hasBin && (
        <>
          <Figure name="to free the bin">
            {parts.assembly.emptying.kind === 'lower'
              ? `lower ${length(parts.assembly.emptying.travel)}; the lip needs ${length(parts.assembly.lid.lip)}`
              : `lift ${mass(masses.offBin)} by ${length(parts.assembly.lid.lip)}`}
          </Figure>
          <Figure name="bin, full">
            {formatShort(binVolume(parts), 'volume', system)}, about {mass(masses.fullBin)}
          </Figure>
        </>
      )}
      {coupling && (
        <Figure name="first coupling">
          {parts.assembly.mount.kind === 'onSeparator' && elevation.shaft === 'upright'
            ? `${coupling.kind}, ${length(coupling.length)}`
            : `${coupling.kind}, needs ${length(coupling.needed)}, has ${length(coupling.length)}`}
        </Figure>
      )}
      <Figure name="blower to lift">
        {mass(masses.blower)};{' '}
        {parts.assembly.people === 1 ? 'one person' : `${parts.assembly.people} people`} can lift{' '}
        {mass(masses.byPeople)}
      </Figure>
      {parts.assembly.mount.kind === 'wall' && (
        <Figure name="upper screws">
          {mass(bracket.pull / GRAVITY)} pull, capacity {mass(bracket.pullBorne / GRAVITY)}
        </Figure>
      )}
    </dl>
  );
}

/** What bin and pipes stand, against the most this blower pulls. */
function Suction() {
  const shop = useDesign();
  const system = useUnits();
  const { parts } = useCollector();
  const { shutOff, weakestPipe, bin } = suctionStrength(shop, parts);
  const pressure = (value: number) => formatShort(value, 'pressure', system);
  // Two figures: no wall is known better.
  const { unit } = STYLES[system].pressure;
  const roughly = (value: number) =>
    pressure(toSI(Number(fromSI(value, unit).toPrecision(2)), unit));
  const run = shop.ducts.runs.find(({ id }) => id === weakestPipe?.run);
  const isFlat = parts.assembly.bin.shape === 'square';
  const stands = (value: number) => (
    <>
      {value < shutOff && (
        <span className="text-starved-text">
          <span aria-hidden>▼ </span>
          <span className="sr-only">collapses: </span>
        </span>
      )}
      about {roughly(value)}
    </>
  );
  return (
    <>
      <h2 className="pt-4 text-[18px]">Under suction</h2>
      <dl className="pt-1">
        <Figure name="blower, all gates shut">{pressure(shutOff)}</Figure>
        {weakestPipe && run && (
          <Figure name="weakest pipe">
            {run.name}, {stands(weakestPipe.pressure)}
          </Figure>
        )}
        {bin.map(({ name, pressure: value }) => (
          <Figure key={name} name={name}>
            {stands(value)}
          </Figure>
        ))}
      </dl>
      <p className="pt-1 text-[14px] text-quiet">
        {bin.length > 0 &&
          `Suction a ${isFlat ? 'flat-sided' : 'round'} bin of this size withstands, by wall. ${isFlat ? 'Thin flat sides get sucked in: fit a relief valve. ' : ''}`}
        Estimates for undamaged walls; dents reduce them.
      </p>
    </>
  );
}

function Figure({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <div className="flex gap-3 border-rule border-b py-0.5">
      <dt className="shrink-0 text-quiet">{name}</dt>
      <dd className="ml-auto text-right">{children}</dd>
    </div>
  );
}
