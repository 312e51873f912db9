'use client';

import { localDay } from '@/words/local-day';

interface Props {
  readonly label: string;
  /** `2026-11-07`, in the reader's own calendar. */
  readonly value: string;
  readonly onChange: (day: string) => void;
}

/** A day up to today. */
export function DayField({ label, value, onChange }: Props) {
  return (
    <input
      type="date"
      aria-label={label}
      value={value}
      max={localDay(Date.now())}
      onChange={(event) => onChange(event.target.value)}
      className="min-h-11 border border-transparent border-b-rule bg-transparent px-1 hover:border-rule md:min-h-7"
    />
  );
}
