'use client';

import { filterOf } from '@frank-gauge/core/analysis';
import type { FieldTest } from '@frank-gauge/core/journal';
import { formatShort, STYLES, toSI, writeNumber } from '@frank-gauge/core/quantity';
import { type FieldTestFit, loadingOf } from '@frank-gauge/core/reading';
import { toast } from 'sonner';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { undoAloud } from '../../frame/undo-aloud';
import { adoptCurve, adoptHeads, adoptLoading } from './edit-tests';

interface Props {
  readonly test: FieldTest;
  readonly fit: FieldTestFit;
}

const announce = (what: string) =>
  toast(what, { action: { label: 'Undo', onClick: () => void undoAloud() } });

/** What the test says of the blower, the filter and the separator, each to be believed or not. */
export function TestLedger({ test, fit }: Props) {
  const collector = useDesign((shop) => shop.collector);
  const system = useUnits();
  const { curve, exhaust, separator } = fit;
  const flow = (value: number) => formatShort(value, 'flow', system);
  const pressure = (value: number) => formatShort(value, 'pressure', system);
  const filter = filterOf(collector);
  const reference = REFERENCE[system];
  const middle = curve.ok ? curve.at(curve.tested / 2) : null;
  return (
    <>
      <h2 className="text-[18px]">The blower</h2>
      {curve.ok && middle ? (
        <>
          <p className="pt-1">
            {pressure(curve.shutOff)} with its inlet shut; at {flow(curve.tested / 2)}{' '}
            <strong className="font-semibold">
              {writeNumber(middle.pressure, STYLES[system].pressure)} ±{' '}
              {pressure(middle.uncertainty)}
            </strong>
            ; it would make no pressure at about {flow(curve.freeFlow)}, though beyond{' '}
            {flow(curve.tested)} nothing was read. With nothing attached it moves less than that:
            its open inlet and its filter take pressure too.
          </p>
          <p className="pt-1 text-[14px] text-quiet">
            It falls by the flow to the power {curve.exponent.toFixed(2)}
            {curve.isExponentAssumed && ', an estimate: six openings would tell it'}. The shade
            holds the true curve 95 times in 100, if the meters are as good as said.
          </p>
          <Button
            className="mt-2"
            onClick={() => {
              adoptCurve(test, fit);
              announce('The blower goes by its own curve now');
            }}
          >
            Use this curve
          </Button>
        </>
      ) : (
        <p role="status" className="pt-1">
          {curve.ok ? '' : curve.reason}
        </p>
      )}
      <h2 className="pt-4 text-[18px]">Behind it</h2>
      {exhaust ? (
        <>
          <p className="pt-1">
            Takes {writeNumber(exhaust.value * reference, STYLES[system].pressure)} ±{' '}
            {pressure(exhaust.uncertainty * reference)} at {flow(reference)}
            {filter && (
              <>
                : this filter, loaded{' '}
                <strong className="font-semibold">
                  ×{loadingOf(filter, exhaust.value).toFixed(1)}
                </strong>
              </>
            )}
            .
          </p>
          {filter && (
            <Button
              className="mt-2"
              onClick={() => {
                adoptLoading(test, fit);
                announce('The filter is believed as loaded as it was found');
              }}
            >
              Believe this loading
            </Button>
          )}
        </>
      ) : (
        <p className="pt-1 text-quiet">
          Read the pressure behind the blower at two openings or more, and what the filter takes
          shows here.
        </p>
      )}
      <h2 className="pt-4 text-[18px]">The separator</h2>
      {separator ? (
        <>
          <p className="pt-1">
            Takes{' '}
            <strong className="font-semibold">
              {separator.value.toFixed(1)} ± {separator.uncertainty.toFixed(1)}
            </strong>{' '}
            velocity heads between the two tubes.
          </p>
          {collector.separator.kind !== 'none' && (
            <Button
              className="mt-2"
              onClick={() => {
                adoptHeads(test, fit);
                announce('The separator goes by what it was found to take');
              }}
            >
              Believe these heads
            </Button>
          )}
        </>
      ) : (
        <p className="pt-1 text-quiet">
          Read the suction ahead of the separator too, and what it takes shows here.
        </p>
      )}
    </>
  );
}

/** A flow to state resistances at, m³/s. */
const REFERENCE = { us: toSI(400, 'cfm'), metric: toSI(700, 'm3h') } as const;
