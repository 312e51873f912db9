'use client';

import {
  formatQuantity,
  type UnitSystem,
  unitSymbol,
  writeForField,
} from '@frank-gauge/core/quantity';
import { useId, useState } from 'react';
import { type Draft, letsGo, ownText } from '@/ui/own-text';
import { useAdopt } from '@/ui/refusal';
import { type FieldLimits, readField } from './read-field';

interface Props extends FieldLimits {
  readonly label: string;
  /** SI; null shows an empty field. */
  readonly value: number | null;
  readonly onChange: (value: number) => void;
  /** Called when the field is emptied; without it an empty field is refused. */
  readonly onClear?: () => void;
  readonly placeholder?: string;
  /** Writes the unit behind the value; lists say it once in their heading instead. */
  readonly hasUnit?: boolean;
  /** Id of a note elsewhere that speaks of this field. */
  readonly describedBy?: string;
  /** False where the value is not part of the document: the browser's own undo stays. */
  readonly saves?: boolean;
}

/** What was typed, and in whose units a bare number of it is. */
interface OwnDraft extends Draft<number | null> {
  readonly system: UnitSystem;
}

/** Written otherwise than the field writes it: worth echoing what was understood. */
const needsEcho = (text: string) => !/^\s*-?[\d.]+\s*$/.test(text) || /\.\d{3}\s*$/.test(text);

/**
 * A quantity as people write one, in any unit. Every keystroke that makes sense takes effect at
 * once; one that doesn't is answered with a sentence, and what was typed stays. It stays afterwards too, in the
 * unit it was typed in, until the value is changed elsewhere.
 */
export function QuantityField(props: Props) {
  const {
    label,
    value,
    kind,
    system,
    onChange,
    onClear,
    placeholder,
    hasUnit = true,
    saves = true,
    describedBy,
  } = props;
  const [draft, setDraft] = useState<OwnDraft | null>(null);
  const [isFocused, setFocused] = useState(false);
  const noteId = useId();
  const written = value === null ? '' : writeForField(value, kind, system);
  const typed = draft?.system === system ? ownText(draft, value, isFocused) : null;
  const text = typed ?? written;
  const hasOwnUnit = !/^[\s\d.,/½¼¾⅛⅜⅝⅞−+-]*$/.test(text);
  const unit = hasUnit && !isFocused && !hasOwnUnit && text !== '' ? unitSymbol(kind, system) : '';
  const mayBeEmpty = onClear !== undefined && text.trim() === '';
  const read = typed === null || mayBeEmpty ? null : readField(typed, props);
  const refusal = read?.ok === false ? read.reason : (typed !== null && draft?.refusal) || null;
  const adopt = useAdopt();
  const echo =
    isFocused && read?.ok && typed !== null && needsEcho(typed)
      ? `= ${formatQuantity(read.value, kind, system)}`
      : null;

  const type = (next: string) => {
    if (next.trim() === '' && onClear) {
      setDraft({ text: next, base: null, refusal: adopt(onClear), system });
      return;
    }
    const result = readField(next, props);
    const isNew = result.ok && result.value !== value;
    const why = isNew ? adopt(() => onChange(result.value)) : null;
    const base = result.ok && why === null ? result.value : value;
    setDraft({ text: next, base, refusal: why, system });
  };

  return (
    <span className="relative block min-w-0">
      <input
        data-saves={saves ? '' : undefined}
        aria-label={label}
        aria-invalid={refusal !== null}
        aria-describedby={refusal || echo ? noteId : describedBy}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        value={text}
        placeholder={placeholder}
        onFocus={(event) => {
          setFocused(true);
          event.target.select();
        }}
        onBlur={() => setFocused(false)}
        onChange={(event) => type(event.target.value)}
        onKeyDown={(event) => {
          if (letsGo(event)) setDraft(null);
        }}
        className={`min-h-11 w-full min-w-0 border border-transparent border-b-rule bg-transparent px-1 hover:border-rule focus:bg-paper aria-invalid:border-starved aria-invalid:text-starved-text md:min-h-7 ${unit === '' ? '' : 'pr-13'}`}
      />
      {unit !== '' && refusal === null && (
        <span
          aria-hidden
          className="pointer-events-none absolute inset-y-0 right-1 flex items-center text-[14px] text-quiet"
        >
          {unit}
        </span>
      )}
      {(refusal ?? echo) !== null && (
        <span
          id={noteId}
          data-note
          role={refusal ? 'alert' : 'status'}
          className={`absolute top-full left-0 z-30 w-max max-w-60 border bg-paper px-2 py-1 text-left text-[14px] shadow-float ${refusal ? 'border-starved text-starved-text' : 'border-rule'}`}
        >
          {refusal ?? echo}
        </span>
      )}
    </span>
  );
}
