import type { ReactNode } from 'react';

/** What the lines and marks of a chart are, each by a piece of it. */
export function Legend({ children }: { readonly children: ReactNode }) {
  return (
    <ul aria-label="Legend" className="mb-1 flex flex-wrap gap-x-4">
      {children}
    </ul>
  );
}

/** A name with its piece of the chart, drawn in 24 by 12 px. */
export function LegendItem({
  name,
  children,
}: {
  readonly name: string;
  readonly children: ReactNode;
}) {
  return (
    <li className="flex items-center gap-1.5">
      <svg aria-hidden width="24" height="12">
        {children}
      </svg>
      {name}
    </li>
  );
}

interface LineProps {
  readonly name: string;
  readonly stroke: string;
  readonly width?: number;
  readonly dash?: string;
}

/** A line of a chart in its legend. */
export function LegendLine({ name, stroke, width = 2, dash }: LineProps) {
  return (
    <LegendItem name={name}>
      <line
        x1="0"
        x2="24"
        y1="6"
        y2="6"
        stroke={stroke}
        strokeWidth={width}
        strokeDasharray={dash}
      />
    </LegendItem>
  );
}
