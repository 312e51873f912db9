'use client';

import {
  formatQuantity,
  parseQuantity,
  type QuantityKind,
  STYLES,
  type UnitSystem,
  writeForField,
} from '@frank-gauge/core';
import { useId, useState } from 'react';

interface Props {
  readonly label: string;
  /** SI; null shows an empty field. */
  readonly value: number | null;
  readonly kind: QuantityKind;
  readonly system: UnitSystem;
  /** SI limits; a value outside is refused with a sentence. */
  readonly min?: number;
  readonly max?: number;
  /** What is refused below `min`, where the limit itself is not allowed. */
  readonly isMinExcluded?: boolean;
  readonly onChange: (value: number) => void;
  /** Called when the field is emptied; without it an empty field is refused. */
  readonly onClear?: () => void;
  readonly placeholder?: string;
  readonly className?: string;
}

type Read =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly reason: string };

/** Reads what was typed and holds it against the field's limits. */
export function readField(
  text: string,
  {
    kind,
    system,
    min,
    max,
    isMinExcluded,
  }: Pick<Props, 'kind' | 'system' | 'min' | 'max' | 'isMinExcluded'>,
): Read {
  const parsed = parseQuantity(text, STYLES[system][kind].unit);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  const write = (limit: number) => formatQuantity(limit, kind, system);
  if (min !== undefined && (isMinExcluded ? value <= min : value < min)) {
    const reason = isMinExcluded
      ? `${write(value)} is too little: it has to be more than ${write(min)}.`
      : `${write(value)} is too little: ${write(min)} is the least.`;
    return { ok: false, reason };
  }
  if (max !== undefined && value > max) {
    return { ok: false, reason: `${write(value)} is too much: ${write(max)} is the most.` };
  }
  return { ok: true, value };
}

/** Written otherwise than the field writes it: worth echoing what was understood. */
const needsEcho = (text: string) => !/^\s*-?[\d.]+\s*$/.test(text);

/**
 * A quantity as people write one, in any unit. Every keystroke that makes sense takes effect at
 * once; one that doesn't is answered with a sentence, and what was typed stays.
 */
export function QuantityField(props: Props) {
  const { label, value, kind, system, onChange, onClear, placeholder, className = '' } = props;
  /** What is being typed, and the value it belongs to: an undo elsewhere lets go of it. */
  const [draft, setDraft] = useState<{ text: string; base: number | null } | null>(null);
  const [isFocused, setFocused] = useState(false);
  const noteId = useId();
  const written = value === null ? '' : writeForField(value, kind, system);
  const typed = draft && draft.base === value ? draft.text : null;
  const text = typed ?? written;
  const mayBeEmpty = onClear !== undefined && text.trim() === '';
  const read = typed === null || mayBeEmpty ? null : readField(typed, props);
  const refusal = read?.ok === false ? read.reason : null;
  const echo =
    isFocused && read?.ok && typed !== null && needsEcho(typed)
      ? `= ${formatQuantity(read.value, kind, system)}`
      : null;

  const type = (next: string) => {
    if (next.trim() === '' && onClear) {
      setDraft({ text: next, base: null });
      onClear();
      return;
    }
    const result = readField(next, props);
    setDraft({ text: next, base: result.ok ? result.value : value });
    if (result.ok && result.value !== value) onChange(result.value);
  };

  return (
    <span className="relative block min-w-0">
      <input
        aria-label={label}
        aria-invalid={refusal !== null}
        aria-describedby={refusal || echo ? noteId : undefined}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        value={text}
        placeholder={placeholder}
        onFocus={(event) => {
          setFocused(true);
          event.target.select();
        }}
        onBlur={() => {
          setFocused(false);
          if (refusal === null) setDraft(null);
        }}
        onChange={(event) => type(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setDraft(null);
        }}
        className={`min-h-11 w-full min-w-0 border border-transparent border-b-rule bg-transparent px-1 hover:border-rule focus:bg-paper aria-invalid:border-starved aria-invalid:text-starved-text md:min-h-7 ${className}`}
      />
      {(refusal ?? echo) !== null && (
        <span
          id={noteId}
          role={refusal ? 'alert' : 'status'}
          className={`absolute top-full left-0 z-30 w-max max-w-60 border bg-paper px-2 py-1 text-left text-[14px] shadow-float ${refusal ? 'border-starved text-starved-text' : 'border-rule'}`}
        >
          {refusal ?? echo}
        </span>
      )}
    </span>
  );
}
