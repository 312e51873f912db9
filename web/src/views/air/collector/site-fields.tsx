'use client';

import { useDesign } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { editCollector } from '../../parts/edit-collector';
import { FieldLine, Line } from '../../parts/line';
import { HouseRule } from './house-rule';
import { MethodSpread } from './method-spread';
import { SecondGates } from './second-gates';

const FRICTION = [
  { value: 'darcy', label: 'Darcy–Colebrook' },
  { value: 'powerFit', label: 'ACGIH power fits' },
  { value: 'equivalentFeet', label: 'equivalent feet, wyes included' },
] as const;

/** Where the shop stands, and the methods it follows. */
export function SiteFields() {
  const { site, rules } = useDesign(({ shop }) => shop);
  return (
    <>
      <FieldLine
        label="Elevation"
        of="above sea level"
        value={site.elevation}
        kind="elevation"
        min={-500}
        max={5000}
        onChange={(value) =>
          editCollector('elevation', (own) => {
            own.shop.site.elevation = value;
          })
        }
      />
      <FieldLine
        label="Temperature"
        of="in the shop"
        value={site.temperature}
        kind="temperature"
        min={233}
        max={323}
        onChange={(value) =>
          editCollector('temperature', (own) => {
            own.shop.site.temperature = value;
          })
        }
      />
      <FieldLine
        label="Relative humidity"
        value={site.humidity}
        kind="ratio"
        min={0}
        max={1}
        onChange={(value) =>
          editCollector('humidity', (own) => {
            own.shop.site.humidity = value;
          })
        }
      />
      <Line label="Friction method">
        <Choice
          label="Friction method"
          value={rules.friction}
          options={FRICTION}
          onChange={(value) =>
            editCollector('friction method', (own) => {
              own.shop.rules.friction = value;
            })
          }
        />
      </Line>
      <Line label="Wye and tee method">
        <Choice
          label="Wye and tee method"
          value={rules.junctions}
          options={[
            { value: 'momentum', label: 'momentum (Idelchik)' },
            { value: 'handbook', label: 'fixed branch coefficients (ACGIH table)' },
          ]}
          onChange={(value) =>
            editCollector('wye and tee method', (own) => {
              own.shop.rules.junctions = value;
            })
          }
        />
      </Line>
      <MethodSpread />
      <HouseRule />
      <SecondGates />
      <FieldLine
        label="Minimum transport velocity, branch"
        value={rules.carryingVelocity}
        kind="velocity"
        min={1}
        max={60}
        onChange={(value) =>
          editCollector('carrying velocity', (own) => {
            own.shop.rules.carryingVelocity = value;
          })
        }
      />
      <FieldLine
        label="Minimum transport velocity, main"
        value={rules.settlingVelocity}
        kind="velocity"
        min={1}
        max={60}
        onChange={(value) =>
          editCollector('settling velocity', (own) => {
            own.shop.rules.settlingVelocity = value;
          })
        }
      />
    </>
  );
}
