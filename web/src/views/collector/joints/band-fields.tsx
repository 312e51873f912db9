'use client';

import { bandChain } from '@frank-gauge/core/assembly';
import { type UnitSystem, writeForField } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { readField } from '@/fields/read-field';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { oneStop } from '@/words/one-stop';
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
        label="Outside diameter"
        of="to clamp"
        value={around}
        kind="diameter"
        min={0.01}
        max={2}
        saves={false}
        onChange={setTyped}
        onClear={() => setTyped(null)}
      />
      <Line label="Band lengths on hand">
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
            oneStop(`You need ${length(chain.wanted)}. Type the lengths you have.`)
          ) : (
            oneStop(`Even eight of the longest do not reach ${length(chain.wanted)}.`)
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

/** Between lengths: a semicolon, or a comma with a blank behind it. */
const BETWEEN = /;|,(?=\s|$)/;
/** As many as a shop's file takes. */
const MOST_BANDS = 50;

/** Reads lengths with commas between; a comma right between digits may mean two lengths or one. */
function readBands(text: string, system: UnitSystem): number[] | string {
  const parts = text.split(BETWEEN).flatMap((part) => part.trim() || []);
  if (parts.length > MOST_BANDS) return `That is more than ${MOST_BANDS} lengths.`;
  const bands: number[] = [];
  for (const part of parts) {
    if (part.includes(',')) {
      return `'${part}' may be one length or several. Write ${part.replaceAll(',', ', ')} or ${part.replace(',', '.')}.`;
    }
    const read = readField(part, {
      kind: 'diameter',
      system,
      min: 0,
      isMinExcluded: true,
      max: 10,
    });
    if (!read.ok) return read.reason;
    bands.push(read.value);
  }
  return bands;
}

/** Lengths with commas between, as people write them. */
function BandList({ bands, system }: ListProps) {
  const [text, setText] = useState(() =>
    bands.map((band) => writeForField(band, 'diameter', system)).join(', '),
  );
  const [refusal, setRefusal] = useState<string | null>(null);
  const read = () => {
    const lengths = readBands(text, system);
    setRefusal(typeof lengths === 'string' ? lengths : null);
    if (typeof lengths === 'string') return;
    edit('bands at hand', ({ ducts }) => {
      ducts.stock.bands = lengths;
    });
  };
  return (
    <span className="block min-w-0">
      <input
        aria-label="Band lengths on hand"
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
