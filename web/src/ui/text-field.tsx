'use client';

import { useState } from 'react';
import { type Draft, letsGo, ownText } from './own-text';
import { useAdopt } from './refusal';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** An empty text is refused with this sentence; undefined lets it be empty. */
  readonly whenEmpty?: string;
  /** Why a text cannot be taken, in a sentence; null where it can. */
  readonly refuse?: (text: string) => string | null;
  /** False where the text is not part of the document: the browser's own undo stays. */
  readonly saves?: boolean;
  readonly placeholder?: string;
  readonly className?: string;
}

/** A line of text that saves as it is typed. */
export function TextField({
  label,
  value,
  onChange,
  whenEmpty,
  refuse,
  saves = true,
  placeholder,
  className = '',
}: Props) {
  const [typing, setTyping] = useState<Draft<string> | null>(null);
  const [isFocused, setFocused] = useState(false);
  const draft = ownText(typing, value, isFocused);
  const isEmpty = draft !== null && draft.trim() === '' && whenEmpty !== undefined;
  const refusal = isEmpty ? whenEmpty : draft !== null && typing?.refusal;
  const adopt = useAdopt();
  return (
    <span className="relative block min-w-0">
      <input
        data-saves={saves ? '' : undefined}
        aria-label={label}
        aria-invalid={Boolean(refusal)}
        value={draft ?? value}
        placeholder={placeholder}
        maxLength={200}
        onChange={(event) => {
          const text = event.target.value;
          const isTried = text.trim() !== '' || whenEmpty === undefined;
          const why = refuse?.(text) ?? (isTried ? adopt(() => onChange(text)) : null);
          setTyping({ text, base: isTried && why === null ? text : value, refusal: why });
        }}
        onFocus={() => setFocused(true)}
        onBlur={() => {
          setFocused(false);
          if (!refusal) setTyping(null);
        }}
        onKeyDown={(event) => {
          if (letsGo(event)) setTyping(null);
        }}
        className={`min-h-11 w-full min-w-0 truncate border border-transparent border-b-rule bg-transparent px-1 hover:border-rule focus:bg-paper aria-invalid:border-starved md:min-h-7 ${className}`}
      />
      {refusal && (
        <span
          role="alert"
          className="absolute top-full left-0 z-30 w-max max-w-64 border border-starved bg-paper px-2 py-1 text-starved-text shadow-float"
        >
          {refusal}
        </span>
      )}
    </span>
  );
}
