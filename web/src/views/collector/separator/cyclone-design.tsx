'use client';

import {
  bodyForSpeed,
  CYCLONE_FAMILIES,
  CYCLONE_FAMILY_IDS,
  type CycloneAtWork,
  type CycloneFamilyId,
  cycloneAtWork,
  cycloneOf,
  INLET_SPEEDS,
} from '@frank-gauge/core/collector';
import { formatShort } from '@frank-gauge/core/quantity';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { tapeLength } from '@/words/tape-length';
import { useCollector } from '../../parts/edited-collector';

/** A cyclone from its proportions at this shop's flow: lengths to build from, loss, cut size. */
export function CycloneDesign() {
  const collector = useDesign((shop) => shop.collector);
  const system = useUnits();
  const { parts, solution, editSeparator } = useCollector();
  const { proportions, inletDiameter } = parts.separator;
  const flow = solution?.blower.flow ?? 0;
  if (!solution || !(flow > 0)) return null;
  const design = (family: CycloneFamilyId) => (
    <Button
      key={family}
      look="quiet"
      className="-ml-3"
      onClick={() =>
        editSeparator('cyclone sized by inlet velocity', (own) => {
          own.proportions = cycloneOf(family, bodyForSpeed(family, flow, INLET_SPEEDS.best));
        })
      }
    >
      {CYCLONE_FAMILIES[family].name}:{' '}
      {tapeLength(bodyForSpeed(family, flow, INLET_SPEEDS.best), system)} body
    </Button>
  );
  return (
    <div className="pt-2">
      <p className="font-semibold">Cyclone for {formatShort(flow, 'flow', system)}</p>
      <p className="text-[14px] text-quiet">
        With {formatShort(INLET_SPEEDS.best, 'velocity', system)} at the inlet:
      </p>
      <div className="flex flex-col items-start">{CYCLONE_FAMILY_IDS.map(design)}</div>
      {proportions && (
        <AtWork
          work={cycloneAtWork(
            proportions,
            flow,
            solution.network.air,
            collector.dust,
            inletDiameter,
          )}
        />
      )}
    </div>
  );
}

function AtWork({ work }: { readonly work: CycloneAtWork }) {
  const system = useUnits();
  const length = (value: number) => tapeLength(value, system);
  const { proportions: own, inletSpeed } = work;
  const speed = formatShort(inletSpeed, 'velocity', system);
  const isSlow = inletSpeed < INLET_SPEEDS.least;
  const isFast = inletSpeed > INLET_SPEEDS.most;
  const rows: [string, string][] = [
    ['body inside diameter', length(own.bodyDiameter)],
    ['barrel height', length(own.bodyLength)],
    ['cone height', length(own.coneLength)],
    ['inlet', `${length(own.inletHeight)} × ${length(own.inletWidth)}`],
    ['outlet pipe', length(own.outletDiameter)],
    ['takes', formatShort(work.pressure, 'pressure', system)],
    ['cut size (50 %)', formatShort(work.cutSize, 'dustSize', system)],
    ['efficiency, this dust', `${(100 * work.caught).toFixed(1)} % by mass`],
  ];
  return (
    <>
      <dl className="pt-1">
        {rows.map(([name, value]) => (
          <div key={name} className="flex border-rule border-b py-0.5">
            <dt className="text-quiet">{name}</dt>
            <dd className="ml-auto">{value}</dd>
          </div>
        ))}
      </dl>
      <p className={`pt-1 text-[14px] ${isSlow || isFast ? 'text-starved-text' : 'text-quiet'}`}>
        {isSlow && `▼ ${speed} at the inlet is slow: dust settles there, and fines get past.`}
        {isFast && `▼ ${speed} at the inlet is fast: it re-entrains dust and costs pressure.`}
        {!isSlow && !isFast && `${speed} at the inlet is in the usual range.`} Pressure drop by
        Shepherd and Lapple, cut size by Lapple. A leak at the dust outlet spoils the separation.
      </p>
    </>
  );
}
