'use client';

import { filterOf } from '@frank-gauge/core/analysis';
import type { FieldTest } from '@frank-gauge/core/journal';
import { formatShort, STYLES, toSI, writeNumber } from '@frank-gauge/core/quantity';
import { type FieldTestFit, loadingOf } from '@frank-gauge/core/reading';
import { toast } from 'sonner';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { undoAction } from '../../frame/undo-aloud';
import { adoptCoefficient, adoptCurve, adoptLoading } from './edit-tests';

interface Props {
  readonly test: FieldTest;
  readonly fit: FieldTestFit;
}

const announce = (what: string) => toast(what, { action: undoAction() });

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
      <h2 className="text-[18px]">Blower</h2>
      {curve.ok && middle ? (
        <>
          <p className="pt-1">
            {pressure(curve.shutOff)} with its inlet shut, and{' '}
            <strong className="font-semibold">
              {writeNumber(middle.pressure, STYLES[system].pressure)} ±{' '}
              {pressure(middle.uncertainty)}
            </strong>{' '}
            at {flow(curve.tested / 2)}. The pressure would reach zero at about{' '}
            {flow(curve.freeFlow)}, but nothing was read beyond {flow(curve.tested)}. With nothing
            attached the blower moves less than that, because its inlet and its filter cost pressure
            too.
          </p>
          <p className="pt-1 text-[14px] text-quiet">
            The pressure falls with the flow to the power of {curve.exponent.toFixed(2)}
            {curve.isExponentAssumed && ' (an estimate; six openings would determine it)'}. The
            shaded band contains the true curve with 95 % confidence if the meters are as accurate
            as stated.
          </p>
          <Button
            className="mt-2"
            onClick={() => {
              adoptCurve(test, fit);
              announce('The blower now uses its measured curve');
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
      <h2 className="pt-4 text-[18px]">Filter</h2>
      {exhaust ? (
        <>
          <p className="pt-1">
            Its pressure drop is {writeNumber(exhaust.value * reference, STYLES[system].pressure)} ±{' '}
            {pressure(exhaust.uncertainty * reference)} at {flow(reference)}
            {filter && (
              <>
                , a filter loading of{' '}
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
                announce('The filter now uses the measured loading');
              }}
            >
              Use this loading
            </Button>
          )}
        </>
      ) : (
        <p className="pt-1 text-quiet">
          Read the pressure after the blower at two or more openings to see the filter’s pressure
          drop here.
        </p>
      )}
      <h2 className="pt-4 text-[18px]">Separator</h2>
      {separator ? (
        <>
          <p className="pt-1">
            Its loss coefficient (C) between the two taps is{' '}
            <strong className="font-semibold">
              {separator.value.toFixed(1)} ± {separator.uncertainty.toFixed(1)}
            </strong>
            .
          </p>
          {collector.separator.kind !== 'none' && (
            <Button
              className="mt-2"
              onClick={() => {
                adoptCoefficient(test, fit);
                announce('The separator now uses the measured loss');
              }}
            >
              Use this loss coefficient
            </Button>
          )}
        </>
      ) : (
        <p className="pt-1 text-quiet">
          Read the suction before the separator as well to see the separator’s pressure drop here.
        </p>
      )}
    </>
  );
}

/** A flow to state resistances at, m³/s. */
const REFERENCE = { us: toSI(400, 'cfm'), metric: toSI(700, 'm3h') } as const;
