import type { AdapterSection } from '@frank-gauge/core/assembly';
import type { UnitSystem } from '@frank-gauge/core/quantity';
import { formatShort } from '@frank-gauge/core/quantity';

type Section = Extract<AdapterSection, { ok: true }>;

const WIDTH = 260;
const HEIGHT = 150;
const MARGIN = { across: 46, along: 12 } as const;

interface Props {
  readonly section: Section;
  readonly system: UnitSystem;
}

/** The adapter cut along its axis, to scale: the wall solid, its bores written at both ends. */
export function SectionPicture({ section, system }: Props) {
  const { outline, diameters, length } = section;
  const widest = Math.max(...diameters.map(({ outside }) => outside));
  const scale = Math.min(
    (WIDTH - 2 * MARGIN.across) / length,
    (HEIGHT - 2 * MARGIN.along) / widest,
  );
  const middle = HEIGHT / 2;
  const left = (WIDTH - scale * length) / 2;
  const half = (sign: 1 | -1) =>
    `${outline
      .map(
        ({ r, z }, i) => `${i === 0 ? 'M' : 'L'}${left + scale * z} ${middle + sign * scale * r}`,
      )
      .join(' ')} Z`;
  const write = (value: number) => formatShort(Number(value.toPrecision(5)), 'diameter', system);
  const [first, second] = diameters;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="img"
      aria-label={`Section: bore ${write(first.inside)} to ${write(second.inside)}, ${write(length)} long`}
    >
      <line
        x1={left - 8}
        x2={left + scale * length + 8}
        y1={middle}
        y2={middle}
        stroke="var(--quiet)"
        strokeDasharray="8 3 2 3"
      />
      <path d={half(1)} fill="var(--ink)" />
      <path d={half(-1)} fill="var(--ink)" />
      {[first, second].map(({ inside, outside }, i) => (
        <g
          key={i === 0 ? 'first' : 'second'}
          fontSize="11.5"
          fill="var(--quiet)"
          textAnchor={i === 0 ? 'end' : 'start'}
        >
          <text x={i === 0 ? left - 5 : left + scale * length + 5} y={middle - 6}>
            {write(inside)}
          </text>
          <text x={i === 0 ? left - 5 : left + scale * length + 5} y={middle + 15}>
            out {write(outside)}
          </text>
        </g>
      ))}
      <text x={WIDTH / 2} y={HEIGHT - 1} fontSize="11.5" fill="var(--quiet)" textAnchor="middle">
        {write(length)} long
      </text>
    </svg>
  );
}
