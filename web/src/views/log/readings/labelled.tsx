import type { ReactNode } from 'react';

/** A field of the reading's form behind its label. */
export function Labelled({
  label,
  children,
}: {
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <div data-line className="grid grid-cols-[92px_1fr] items-center gap-2">
      <span className="text-[14px] text-quiet">{label}</span>
      <div className="min-w-0">{children}</div>
    </div>
  );
}
