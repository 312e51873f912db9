'use client';

import { useDesign } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { editCollector } from '../../parts/edit-collector';
import { FieldLine, Line } from '../../parts/line';
import { HouseRule } from './house-rule';
import { MethodSpread } from './method-spread';

const FRICTION = [
  { value: 'darcy', label: 'by Darcy and Colebrook' },
  { value: 'powerFit', label: 'by the handbook’s power fits' },
  { value: 'equivalentFeet', label: 'by equivalent feet, wyes too' },
] as const;

/** Where the shop stands, and the methods it follows. */
export function SiteFields() {
  const { site, rules } = useDesign(({ shop }) => shop);
  return (
    <>
      <FieldLine
        line="above the sea"
        label="Elevation of the shop"
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
        line="temperature"
        label="Temperature in the shop"
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
        line="humidity"
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
      <Line label="friction, reckoned">
        <Choice
          label="How friction is reckoned"
          value={rules.friction}
          options={FRICTION}
          onChange={(value) =>
            editCollector('how friction is reckoned', (own) => {
              own.shop.rules.friction = value;
            })
          }
        />
      </Line>
      <Line label="wyes, reckoned">
        <Choice
          label="How wyes are reckoned"
          value={rules.junctions}
          options={[
            { value: 'momentum', label: 'by momentum (Idelchik)' },
            { value: 'handbook', label: 'fixed branch coefficients (ACGIH table)' },
          ]}
          onChange={(value) =>
            editCollector('how wyes are reckoned', (own) => {
              own.shop.rules.junctions = value;
            })
          }
        />
      </Line>
      <MethodSpread />
      <HouseRule />
      <FieldLine
        line="drops carry at"
        label="Carrying velocity"
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
        line="mains settle below"
        label="Settling velocity"
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
