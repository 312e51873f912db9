'use client';

import { curveInto, monotoneCurve, scaleBlower } from '@frank-gauge/core/collector';
import type { FieldTest } from '@frank-gauge/core/journal';
import { fromSI, STYLES, unitSymbol } from '@frank-gauge/core/quantity';
import type { FieldTestFit } from '@frank-gauge/core/reading';
import { useDesign, useUnits } from '@/model/use-design';
import { linearScale } from '@/ui/linear-scale';
import { useSize } from '@/ui/use-size';
import { Legend, LegendItem, LegendLine } from '../../parts/legend';

const HEIGHT = 260;
const MARGIN = { left: 44, right: 12, top: 22, bottom: 34 } as const;
const STEPS = 60;

interface Props {
  readonly test: FieldTest;
  readonly fit: FieldTestFit;
}

/** The points, the curve through them with its interval, and the curve the shop has now. */
export function CurvePicture({ test, fit }: Props) {
  const [box, { width }] = useSize<HTMLDivElement>();
  return (
    <figure className="pb-3">
      <div ref={box} style={{ minHeight: HEIGHT }}>
        {width > 0 && <Picture test={test} fit={fit} width={width} />}
      </div>
      <figcaption className="text-[14px] text-quiet">
        <Legend>
          <LegendItem name="measured">
            <circle cx="12" cy="6" r="4" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
          </LegendItem>
          {fit.curve.ok && (
            <>
              <LegendLine name="measured fan curve" stroke="var(--ink)" />
              <LegendLine name="beyond what was measured" stroke="var(--ink)" dash="2 4" />
              <LegendItem name="95 % interval">
                <rect width="24" height="12" fill="var(--quiet)" opacity={0.22} />
              </LegendItem>
            </>
          )}
          <LegendLine name="fan curve in use" stroke="var(--quiet)" width={1} dash="7 4" />
        </Legend>
      </figcaption>
    </figure>
  );
}

function Picture({ test, fit, width }: Props & { readonly width: number }) {
  const collector = useDesign((shop) => shop.collector);
  const system = useUnits();
  const { blower } = collector;
  const { curve, points } = fit;
  const present = scaleBlower(blower.curve, blower.measured, {
    density: test.density,
    speed: test.speed,
    wheelDiameter: test.wheelDiameter,
  });
  const flowUnit = STYLES[system].flow.unit;
  const pressureUnit = STYLES[system].pressure.unit;
  const end = Math.max(
    present.at(-1)?.flow ?? 0,
    curve.ok ? curve.freeFlow : 0,
    ...points.map(({ flow }) => flow),
    0.01,
  );
  const most = Math.max(
    present[0]?.pressure ?? 0,
    ...points.map(({ pressure }) => pressure),
    curve.ok ? curve.at(0).pressure + curve.at(0).uncertainty : 0,
    10,
  );
  const x = linearScale([0, fromSI(end, flowUnit)], [MARGIN.left, width - MARGIN.right], 10);
  const y = linearScale([0, fromSI(most, pressureUnit)], [HEIGHT - MARGIN.bottom, MARGIN.top], 10);
  const at = (flow: number, pressure: number) =>
    `${x(fromSI(flow, flowUnit)).toFixed(1)} ${y(fromSI(Math.max(0, pressure), pressureUnit)).toFixed(1)}`;
  const flows = Array.from(
    { length: STEPS + 1 },
    (_, i) => (i * (curve.ok ? curve.freeFlow : 0)) / STEPS,
  );
  const band = curve.ok
    ? `M${[
        ...flows.map((flow) => at(flow, curve.at(flow).pressure + curve.at(flow).uncertainty)),
        ...[...flows]
          .reverse()
          .map((flow) => at(flow, curve.at(flow).pressure - curve.at(flow).uncertainty)),
      ].join(' L')} Z`
    : '';
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={`Curve of ${points.length} openings`}>
      <text x={MARGIN.left - 30} y={12} fontSize="12" fill="var(--quiet)">
        blower pressure, {unitSymbol('pressure', system)}
      </text>
      {y.ticks(5).map((tick) => (
        <g key={tick}>
          <line
            x1={MARGIN.left}
            x2={width - MARGIN.right}
            y1={y(tick)}
            y2={y(tick)}
            stroke="var(--rule)"
          />
          <text
            x={MARGIN.left - 6}
            y={y(tick) + 4}
            textAnchor="end"
            fontSize="12"
            fill="var(--quiet)"
          >
            {tick.toLocaleString('en-US')}
          </text>
        </g>
      ))}
      {x.ticks(6).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={HEIGHT - MARGIN.bottom + 16}
          textAnchor="middle"
          fontSize="12"
          fill="var(--quiet)"
        >
          {tick.toLocaleString('en-US')}
        </text>
      ))}
      <text
        x={width - MARGIN.right}
        y={HEIGHT - 4}
        textAnchor="end"
        fontSize="12"
        fill="var(--quiet)"
      >
        airflow, {unitSymbol('flow', system)}
      </text>
      {curve.ok && (
        <>
          <path d={band} fill="var(--quiet)" opacity={0.22} />
          <path
            d={`M${flows
              .filter((flow) => flow <= curve.tested)
              .map((flow) => at(flow, curve.at(flow).pressure))
              .join(' L')}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={2}
          />
          <path
            d={`M${flows
              .filter((flow) => flow >= curve.tested * 0.98)
              .map((flow) => at(flow, curve.at(flow).pressure))
              .join(' L')}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={2}
            strokeDasharray="2 4"
          />
        </>
      )}
      <path d={presentLine(present, at)} fill="none" stroke="var(--quiet)" strokeDasharray="7 4" />
      {points.map(({ flow, pressure }, i) => (
        <circle
          key={`${test.steps[i]?.id ?? i}`}
          cx={x(fromSI(flow, flowUnit))}
          cy={y(fromSI(pressure, pressureUnit))}
          r={4}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={2}
        />
      ))}
    </svg>
  );
}

/** The shop's own curve, smooth as it is used. */
function presentLine(
  points: readonly { flow: number; pressure: number }[],
  at: (flow: number, pressure: number) => string,
): string {
  const curve = monotoneCurve(points.map(({ flow, pressure }) => [flow, pressure] as const));
  const last = points.at(-1)?.flow ?? 0;
  const out = { value: 0, slope: 0 };
  const line = Array.from({ length: STEPS + 1 }, (_, i) => {
    const flow = (i * last) / STEPS;
    curveInto(out, curve, flow);
    return at(flow, out.value);
  });
  return `M${line.join(' L')}`;
}
