'use client';

import { BARE_ENTRY_LOSS, curveFromTests } from '@frank-gauge/core/collector';
import type { CollectorParts, Shop } from '@frank-gauge/core/design';
import { outletPressure } from '@frank-gauge/core/network';
import { airAtSite, formatShort, type QuantityKind } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { useCollector } from './edited-collector';
import { ShopQuantity } from './line';

/** What two field tests read, SI; null until typed. */
interface Tests {
  readonly blocked: number | null;
  readonly flow: number | null;
  readonly outlet: number | null;
  readonly inletDiameter: number;
  readonly entryLoss: number;
}

type TestField = keyof Tests;

/**
 * A curve from two tests at the blower's own inlet: the suction with it blocked, and the flow with it open.
 * It is drawn for the shop's own air, at the speed the wheel turns here.
 */
export function CurveFromTests() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button
        look="quiet"
        aria-expanded={isOpen}
        className="-ml-3"
        onClick={() => setOpen(!isOpen)}
      >
        From two field tests
      </Button>
      {isOpen && <Form onDone={() => setOpen(false)} />}
    </>
  );
}

function Form({ onDone }: { readonly onDone: () => void }) {
  const shop = useDesign();
  const system = useUnits();
  const { parts, editBlower } = useCollector();
  const [tests, setTests] = useState<Tests>({
    blocked: null,
    flow: null,
    outlet: null,
    inletDiameter: parts.separator.inletDiameter,
    entryLoss: BARE_ENTRY_LOSS,
  });
  const [refusal, setRefusal] = useState<string | null>(null);
  // Left out, the outlet is taken at what this shop's own filter asks of such a flow.
  const ownOutlet = tests.flow === null ? null : outletPressure(withParts(shop, parts), tests.flow);
  const draw = () => {
    const { blocked, flow, outlet, inletDiameter, entryLoss } = tests;
    if (blocked === null || flow === null) {
      setRefusal('The suction with the inlet blocked and the flow with it open are both needed.');
      return;
    }
    const { density } = airAtSite(shop.shop.site);
    const open = { flow, inletDiameter, entryLoss, outlet: outlet ?? ownOutlet ?? 0 };
    const made = curveFromTests(blocked, open, density);
    setRefusal(made.ok ? null : made.reason);
    if (!made.ok) return;
    editBlower('blower curve', (own) => {
      const { speed, wheelDiameter } = own;
      own.curve = made.points;
      own.measured = { density, speed, wheelDiameter };
    });
    onDone();
  };
  const field = (
    name: TestField,
    label: string,
    kind: QuantityKind,
    { min = 0, max, placeholder }: { min?: number; max: number; placeholder?: string },
  ) => (
    <div data-line className="grid grid-cols-[1fr_92px] items-center gap-2">
      <span className="text-[14px] text-quiet">{label}</span>
      <ShopQuantity
        label={label}
        value={tests[name]}
        kind={kind}
        min={min}
        max={max}
        {...(placeholder !== undefined && { placeholder })}
        saves={false}
        onChange={(value) => setTests((before) => ({ ...before, [name]: value }))}
        {...((name === 'blocked' || name === 'flow' || name === 'outlet') && {
          onClear: () => setTests((before) => ({ ...before, [name]: null })),
        })}
      />
    </div>
  );
  return (
    <div className="border-rule border-l pb-1 pl-2">
      <p className="text-[14px] text-quiet">
        Both at the blower’s own inlet, with no separator and no duct on it.
      </p>
      {field('blocked', 'Inlet blocked: suction at a tap in it', 'pressure', { max: 50_000 })}
      {field('flow', 'Inlet open: flow', 'flow', { max: 50 })}
      {field('inletDiameter', 'Inlet, inside diameter', 'diameter', { min: 0.01, max: 2 })}
      {field('entryLoss', 'Inlet, entry loss coefficient', 'number', { max: 50 })}
      {field('outlet', 'Inlet open: pressure at the outlet', 'pressure', {
        max: 50_000,
        placeholder:
          ownOutlet === null ? 'its filter’s' : formatShort(ownOutlet, 'pressure', system),
      })}
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          {refusal}
        </p>
      )}
      <Button className="mt-1" onClick={draw}>
        Draw the curve
      </Button>
      <p className="pt-1 text-[14px] text-quiet">
        Fan static pressure is static at the outlet less total at the inlet (AMCA). An open pipe end
        loses 0.93 of its velocity pressure, a flanged one 0.49; the rest of what a tap shows there
        is velocity, not loss. Block the inlet for seconds only, with a flat board, hands clear.
        Between the two tests the curve is an estimate.
      </p>
    </div>
  );
}

/** The shop with the collector that is being described standing in it. */
const withParts = (shop: Shop, parts: CollectorParts): Shop => ({
  ...shop,
  collector: { ...shop.collector, ...parts },
});
