'use client';

import { useUnits } from '@/model/use-design';
import { type DraftReading, type Repeat, repeatsOf } from '../../parts/taking/draft-reading';
import { pointName } from '../../parts/taking/point-name';
import type { ReadRepeat } from '../../parts/taking/read-repeat';

interface Props {
  readonly draft: DraftReading;
  readonly diameter: number;
  /** What each is read as, in the same order. */
  readonly reads: readonly ReadRepeat[];
  readonly onChange: (repeats: readonly Repeat[]) => void;
}

/** Three repeats, or the points of a traverse; each may be beyond either end of the range. */
export function RepeatFields({ draft, diameter, reads, onChange }: Props) {
  const system = useUnits();
  const repeats = repeatsOf(draft);
  const { spot, traverse } = draft;
  return repeats.map((repeat, i) => {
    const read = reads[i];
    const name = spot === 'traverse' ? pointName(i, traverse, diameter, system) : `Repeat ${i + 1}`;
    return (
      <RepeatField
        key={i}
        name={name}
        isNamed={spot === 'traverse'}
        repeat={repeat}
        refusal={read && !read.ok ? read.reason : null}
        onChange={(next) => onChange(repeats.map((one, j) => (j === i ? next : one)))}
      />
    );
  });
}

interface FieldProps {
  readonly name: string;
  readonly isNamed: boolean;
  readonly repeat: Repeat;
  readonly refusal: string | null;
  readonly onChange: (repeat: Repeat) => void;
}

const BOUNDS = ['over', 'under'] as const;

function RepeatField({ name, isNamed, repeat, refusal, onChange }: FieldProps) {
  return (
    <div
      className={`grid gap-x-1 py-0.5 ${isNamed ? 'grid-cols-[96px_1fr_auto_auto]' : 'grid-cols-[1fr_auto_auto]'} items-center`}
    >
      {isNamed && <span className="text-[14px] text-quiet">{name}</span>}
      <input
        aria-label={name}
        aria-invalid={refusal !== null}
        inputMode="decimal"
        autoComplete="off"
        enterKeyHint="next"
        value={repeat.text}
        placeholder={repeat.bound === null ? '' : 'end of its range'}
        onChange={(event) => onChange({ ...repeat, text: event.target.value })}
        className="min-h-11 min-w-0 border border-rule bg-transparent px-2 text-[18px] focus:bg-paper aria-invalid:border-starved md:min-h-8"
      />
      {BOUNDS.map((bound) => (
        <button
          key={bound}
          type="button"
          aria-pressed={repeat.bound === bound}
          aria-label={`${name}, ${bound} range`}
          title={`The meter stopped at the ${bound === 'over' ? 'upper' : 'lower'} end of its range`}
          onClick={() => onChange({ ...repeat, bound: repeat.bound === bound ? null : bound })}
          className="min-h-11 border border-rule px-2 text-[14px] aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper md:min-h-8"
        >
          {bound}
        </button>
      ))}
      {refusal && (
        <span role="alert" className="col-span-full text-[14px] text-starved-text">
          {refusal}
        </span>
      )}
    </div>
  );
}
