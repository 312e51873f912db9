'use client';

import { bagArea, pleatedArea } from '@frank-gauge/core/collector';
import { formatShort } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Segmented } from '@/ui/segmented';
import { FieldLine } from './line';

interface Measured {
  readonly depth: number | null;
  readonly height: number | null;
  readonly pleats: number | null;
  readonly across: number | null;
  readonly length: number | null;
}

const NOTHING: Measured = { depth: null, height: null, pleats: null, across: null, length: null };

/** A filter's area from what a tape measure and a count of pleats say. */
export function FilterArea({ onArea }: { readonly onArea: (area: number) => void }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button
        look="quiet"
        aria-expanded={isOpen}
        className="-ml-3"
        onClick={() => setOpen(!isOpen)}
      >
        Work out the area from pleats or a bag
      </Button>
      {isOpen && (
        <Form
          onDone={(area) => {
            onArea(area);
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

function Form({ onDone }: { readonly onDone: (area: number) => void }) {
  const system = useUnits();
  const [kind, setKind] = useState<'pleats' | 'bag'>('pleats');
  const [measured, setMeasured] = useState(NOTHING);
  const field = (key: keyof Measured, label: string) => (
    <FieldLine
      label={label}
      value={measured[key]}
      kind={key === 'pleats' ? 'number' : 'diameter'}
      isWhole={key === 'pleats'}
      min={0}
      isMinExcluded
      max={key === 'pleats' ? 5000 : 20}
      saves={false}
      onChange={(value) => setMeasured((before) => ({ ...before, [key]: value }))}
      onClear={() => setMeasured((before) => ({ ...before, [key]: null }))}
    />
  );
  const area = areaOf(kind, measured);
  return (
    <div className="space-y-1 border-rule border-l pb-1 pl-2">
      <Segmented
        label="Filter measured"
        value={kind}
        options={[
          { value: 'pleats', label: 'Pleats' },
          { value: 'bag', label: 'Bag' },
        ]}
        onChange={setKind}
      />
      {kind === 'pleats' ? (
        <>
          {field('pleats', 'Number of pleats')}
          {field('depth', 'Pleat depth')}
          {field('height', 'Media height')}
        </>
      ) : (
        <>
          {field('across', 'Bag diameter')}
          {field('length', 'Bag length')}
        </>
      )}
      <Button disabled={area === null} onClick={() => area !== null && onDone(area)}>
        {area === null ? 'Area' : `Use ${formatShort(area, 'area', system)}`}
      </Button>
    </div>
  );
}

/** Null until all that it needs is measured. */
function areaOf(
  kind: 'pleats' | 'bag',
  { depth, height, pleats, across, length }: Measured,
): number | null {
  if (kind === 'bag') {
    return across === null || length === null ? null : bagArea(across, length);
  }
  return depth === null || height === null || pleats === null
    ? null
    : pleatedArea(depth, height, pleats);
}
