'use client';

import type { FieldTest } from '@frank-gauge/core/journal';
import { useDesign } from '@/model/use-design';
import { Button } from '@/ui/button';
import { FieldLine } from '../../parts/line';
import { dropTest, editTest, startTest } from './edit-tests';

/** How it is done, and what the test was made with. */
export function TestFields({ test }: { readonly test: FieldTest }) {
  const shop = useDesign();
  return (
    <>
      <h1 className="text-[17px]">How it is done</h1>
      <ol className="list-decimal space-y-1.5 pt-1 pl-5 text-[15px]">
        <li>All gates shut but one, near the collector, with straight pipe for the meter.</li>
        <li>
          A tube into the duct a few diameters ahead of the blower, one behind it, one ahead of the
          separator: small holes, square and smooth inside.
        </li>
        <li>
          Gate shut first: no flow, the most suction. Seconds are enough; a choked motor runs light,
          the drum bears all of it.
        </li>
        <li>Then open in six or more steps. Wait until it is steady, read all, go on.</li>
        <li>Tape the holes. Hands, sleeves and tubes stay clear of the wheel.</li>
      </ol>
      <h2 className="pt-4 pb-1 text-[17px]">Made with</h2>
      <div className="space-y-1">
        <FieldLine
          line="duct at the tube"
          label="Duct where the suction is read"
          value={test.tapDiameter}
          kind="diameter"
          min={0.01}
          max={2}
          onChange={(diameter) =>
            editTest(test, 'duct at the tube', (own) => {
              own.tapDiameter = diameter;
            })
          }
        />
        <FieldLine
          line="flow, good to"
          label="How far the flow meter may be off"
          value={test.flowDoubt}
          kind="ratio"
          min={0}
          max={1}
          onChange={(uncertainty) =>
            editTest(test, 'flow meter', (own) => {
              own.flowDoubt = uncertainty;
            })
          }
        />
        <FieldLine
          line="pressure, good to"
          label="How far the manometer may be off"
          value={test.pressureDoubt}
          kind="ratio"
          min={0}
          max={1}
          onChange={(uncertainty) =>
            editTest(test, 'manometer', (own) => {
              own.pressureDoubt = uncertainty;
            })
          }
        />
        <FieldLine
          line="wheel turned at"
          label="Speed of the wheel in the test"
          value={test.speed}
          kind="rotation"
          min={1}
          max={500}
          onChange={(speed) =>
            editTest(test, 'speed in the test', (own) => {
              own.speed = speed;
            })
          }
        />
        <FieldLine
          line="air’s density"
          label="Density of the air in the test"
          value={test.density}
          kind="density"
          min={0.5}
          max={2}
          onChange={(density) =>
            editTest(test, 'density in the test', (own) => {
              own.density = density;
            })
          }
        />
      </div>
      <div className="flex flex-wrap gap-1.5 pt-3">
        <Button onClick={() => startTest(shop)}>Start another</Button>
        <Button look="quiet" onClick={() => dropTest(test)}>
          Let this one go
        </Button>
      </div>
    </>
  );
}
