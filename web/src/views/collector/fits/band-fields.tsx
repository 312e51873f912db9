'use client';

import { bandChain } from '@frank-gauge/core/assembly';
import {
  type Parsed,
  parseQuantity,
  STYLES,
  type UnitSystem,
  writeForField,
} from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { tapeLength } from '@/words/tape-length';
import { FieldLine, Line } from '../../parts/line';
import { useElevation } from '../../parts/use-elevation';

/** Band clamps chained around what is wider than any of them. */
export function BandFields() {
  const ducts = useDesign((shop) => shop.ducts);
  const system = useUnits();
  const { elevation } = useElevation();
  const { bands } = ducts.stock;
  const [typed, setTyped] = useState<number | null>(null);
  const canister = elevation.sizes.filter.diameter;
  const around = typed ?? (canister > 0 ? canister : null);
  const chain = around === null ? null : bandChain(around, bands);
  const length = (value: number) => tapeLength(value, system);
  return (
    <div className="space-y-1">
      <FieldLine
        line="around, across"
        label="Outside diameter the bands go around"
        value={around}
        kind="diameter"
        min={0.01}
        max={2}
        saves={false}
        onChange={setTyped}
        onClear={() => setTyped(null)}
      />
      <Line label="bands at hand">
        <BandList key={bands.join()} bands={bands} system={system} />
      </Line>
      {chain && (
        <p className="text-[15px]">
          {chain.ok ? (
            <>
              Chain {chain.bands.map(length).join(' + ')}: {length(chain.over)} more than the{' '}
              {length(Math.PI * (around ?? 0))} around.
            </>
          ) : chain.reason === 'no bands' ? (
            `${length(chain.wanted)} are wanted. Say what lengths you have.`
          ) : (
            `Even eight of the longest do not reach ${length(chain.wanted)}.`
          )}
        </p>
      )}
    </div>
  );
}

interface ListProps {
  readonly bands: readonly number[];
  readonly system: UnitSystem;
}

/** Lengths with commas between, as people write them. */
function BandList({ bands, system }: ListProps) {
  const [text, setText] = useState(() =>
    bands.map((band) => writeForField(band, 'diameter', system)).join(', '),
  );
  const [refusal, setRefusal] = useState<string | null>(null);
  const read = () => {
    const parsed = text
      .split(/[,;]/)
      .filter((part) => part.trim() !== '')
      .map((part): Parsed => parseQuantity(part, STYLES[system].diameter.unit));
    const wrong = parsed.find((each) => !each.ok || !(each.value > 0) || each.value > 10);
    if (wrong) {
      setRefusal(
        wrong.ok ? 'A band is longer than nothing, and shorter than 33 ft.' : wrong.reason,
      );
      return;
    }
    setRefusal(null);
    const lengths = parsed.flatMap((each) => (each.ok ? [each.value] : []));
    edit('bands at hand', ({ ducts }) => {
      ducts.stock.bands = lengths.slice(0, 50);
    });
  };
  return (
    <span className="block min-w-0">
      <input
        aria-label="Lengths of the band clamps at hand"
        aria-invalid={refusal !== null}
        value={text}
        placeholder="24, 36"
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        onBlur={read}
        onKeyDown={(event) => {
          if (event.key === 'Enter') read();
        }}
        className="min-h-11 w-full border border-transparent border-b-rule bg-transparent px-1 hover:border-rule focus:bg-paper aria-invalid:border-starved md:min-h-7"
      />
      {refusal && (
        <span role="alert" className="block text-[14px] text-starved-text">
          {refusal}
        </span>
      )}
    </span>
  );
}
