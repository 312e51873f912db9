'use client';

import { formatShort, type QuantityKind } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { type CollectorOptions, Part, Row } from './table-parts';

/** What each asks of blower, motor, circuit and filter. */
export function LoadRows({ options }: CollectorOptions) {
  const system = useUnits();
  const write = (value: number, kind: QuantityKind) => formatShort(value, kind, system);
  return (
    <Part name="Load">
      <Row
        options={options}
        label="operating point, worst drop open"
        cell={({ atWorst }) =>
          atWorst && (
            <>
              {write(atWorst.flow, 'flow')}
              <span className="block">{write(atWorst.pressure, 'pressure')}</span>
            </>
          )
        }
      />
      <Row
        options={options}
        label="shaft power, at most"
        cell={({ load }) =>
          load && (
            <span className={load.isOverloaded ? 'text-starved-text' : ''}>
              {load.isOverloaded && '▼ '}
              {write(load.shaftPower, 'power')}
            </span>
          )
        }
      />
      <Row
        options={options}
        label="filter face velocity"
        cell={({ load }) =>
          load?.filter && (
            <span
              className={load.filter.faceVelocity > load.filter.comfortable ? 'font-semibold' : ''}
            >
              {load.filter.faceVelocity > load.filter.comfortable && '◆ small, '}
              {write(load.filter.faceVelocity, 'faceVelocity')}
            </span>
          )
        }
      />
      <Row
        options={options}
        label="filter pressure drop, clean"
        cell={({ load }) =>
          load?.filter && (
            <>
              {write(load.filter.pressure, 'pressure')}
              {load.filter.loading > 1 && (
                <span className="block text-[14px] text-quiet">
                  {write(load.filter.cleanPressure, 'pressure')}
                </span>
              )}
            </>
          )
        }
      />
      <Row
        options={options}
        label="separation efficiency"
        cell={({ load }) => load && `${Math.round(100 * load.separator.caught)} %`}
      />
    </Part>
  );
}
