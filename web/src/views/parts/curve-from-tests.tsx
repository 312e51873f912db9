'use client';

import { airAtSite, curveFromTests } from '@frank-gauge/core';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { useSolvedShop } from '../frame/solved-shop';
import { useCollector } from './edited-collector';
import { ShopQuantity } from './line';

/** What two field tests read, SI; null until typed. */
interface Tests {
  readonly blocked: number | null;
  readonly flow: number | null;
  readonly pressure: number | null;
}

const NOTHING: Tests = { blocked: null, flow: null, pressure: null };

/**
 * A curve from two tests with a manometer across the blower and a meter at its open inlet. It is
 * drawn for the shop's own air, at the speed the wheel turns here.
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
  const { shop } = useSolvedShop();
  const { editBlower } = useCollector();
  const [tests, setTests] = useState<Tests>(NOTHING);
  const [refusal, setRefusal] = useState<string | null>(null);
  const draw = () => {
    const { blocked, flow, pressure } = tests;
    if (blocked === null || flow === null || pressure === null) {
      setRefusal('All three readings are needed.');
      return;
    }
    const made = curveFromTests(blocked, { flow, pressure });
    setRefusal(made.ok ? null : made.reason);
    if (!made.ok) return;
    const { density } = airAtSite(shop.shop.site);
    editBlower('blower curve', (own) => {
      const { speed, wheelDiameter } = own;
      own.curve = made.points;
      own.measured = { density, speed, wheelDiameter };
    });
    onDone();
  };
  const field = (name: keyof Tests, says: string, label: string, most: number) => (
    <div className="grid grid-cols-[1fr_92px] items-center gap-2">
      <span className="text-[14px] text-quiet">{says}</span>
      <ShopQuantity
        label={label}
        value={tests[name]}
        kind={name === 'flow' ? 'flow' : 'pressure'}
        min={0}
        max={most}
        saves={false}
        onChange={(value) => setTests((before) => ({ ...before, [name]: value }))}
        onClear={() => setTests((before) => ({ ...before, [name]: null }))}
      />
    </div>
  );
  return (
    <div className="border-rule border-l pb-1 pl-2">
      {field(
        'blocked',
        'inlet blocked, across it',
        'Pressure across the blower, inlet blocked',
        50_000,
      )}
      {field('flow', 'inlet open, flow', 'Flow with the inlet open', 50)}
      {field('pressure', 'inlet open, across it', 'Pressure across the blower, inlet open', 50_000)}
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          {refusal}
        </p>
      )}
      <Button className="mt-1" onClick={draw}>
        Draw the curve
      </Button>
      <p className="pt-1 text-[14px] text-quiet">
        Block the inlet for seconds only, with a flat board, hands clear. Between the two the curve
        is an estimate.
      </p>
    </div>
  );
}
