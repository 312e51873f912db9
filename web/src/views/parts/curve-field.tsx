'use client';

import { readCurveFile } from '@frank-gauge/core/collector';
import { unitSymbol } from '@frank-gauge/core/quantity';
import { useRef, useState } from 'react';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { type Draft, letsGo, ownText } from '@/ui/own-text';
import { useAdopt } from '@/ui/refusal';
import { CurveFromTests } from './curve-from-tests';
import { useCollector } from './edited-collector';
import { Line } from './line';
import { type CurvePoint, readCurve, writePoint } from './read-curve';

/** The curve as text, a point a line: quick to type, and a column can be pasted in. */
export function CurveField() {
  const system = useUnits();
  const { parts, editBlower } = useCollector();
  const { curve } = parts.blower;
  const take = useAdopt();
  const [draft, setDraft] = useState<Draft<readonly CurvePoint[]> | null>(null);
  const [isFocused, setFocused] = useState(false);
  const typed = ownText(draft, curve, isFocused);
  const text = typed ?? curve.map((point) => writePoint(point, system)).join('\n');
  const read = typed === null ? null : readCurve(typed, system, curve);
  const refusal = read?.ok === false ? read.reason : ((read && draft?.refusal) ?? null);
  const type = (next: string) => {
    const result = readCurve(next, system, curve);
    const change = ({ points }: { readonly points: CurvePoint[] }) =>
      take(() =>
        editBlower('blower curve', (own) => {
          own.curve = points;
        }),
      );
    setDraft({ text: next, base: curve, refusal: result.ok ? change(result) : null });
  };
  const label = `Curve: ${unitSymbol('flow', system)}, then ${unitSymbol('pressure', system)}`;
  return (
    <Line label={label}>
      <span>
        <textarea
          aria-label={label}
          aria-invalid={refusal !== null}
          rows={Math.min(9, Math.max(3, text.split('\n').length))}
          value={text}
          spellCheck={false}
          onChange={(event) => type(event.target.value)}
          onFocus={() => setFocused(true)}
          onBlur={() => {
            setFocused(false);
            if (refusal === null) setDraft(null);
          }}
          onKeyDown={(event) => {
            if (letsGo(event)) setDraft(null);
          }}
          className="block w-full border border-rule bg-paper px-2 py-1 aria-invalid:border-starved"
        />
        {refusal && (
          <span role="alert" className="block text-[14px] text-starved-text">
            {refusal}
          </span>
        )}
        <CurveFile />
        <CurveFromTests />
      </span>
    </Line>
  );
}

/** More letters than a curve's text may have, whatever they are, in bytes. */
const MOST_BYTES = 1_000_000;

/** Reads a curve from a CSV file. What is wrong with it is said, and the curve stays. */
function CurveFile() {
  const system = useUnits();
  const { editBlower } = useCollector();
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const read = async (file: File) => {
    // However large it is, no more of it is read than tells that it is too long.
    const result = readCurveFile(await file.slice(0, MOST_BYTES).text(), system);
    setRefusal(result.ok ? null : `${file.name}: ${result.reason}`);
    if (!result.ok) return;
    editBlower('blower curve', (own) => {
      own.curve = result.points;
    });
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".csv,.txt,text/csv,text/plain"
        aria-label="CSV file of the blower curve"
        className="hidden"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void read(file);
        }}
      />
      <Button look="quiet" className="-ml-3" onClick={() => input.current?.click()}>
        Import CSV
      </Button>
      {refusal && (
        <span role="alert" className="block text-[14px] text-starved-text">
          {refusal}
        </span>
      )}
    </>
  );
}
