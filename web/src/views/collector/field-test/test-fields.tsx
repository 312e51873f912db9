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
      <h1 className="text-[17px]">How to do it</h1>
      <ol className="list-decimal space-y-1.5 pt-1 pl-5 text-[15px]">
        <li>Shut all gates but one near the collector, with straight pipe for the meter.</li>
        <li>
          A tube into the duct a few diameters ahead of the blower, one behind it, one ahead of the
          separator: small holes, square and smooth inside.
        </li>
        <li>
          Start with the gate shut: no flow, the most suction. A few seconds are enough: the motor
          runs light, but the drum bears the full suction.
        </li>
        <li>
          Then open the gate in six or more steps. At each, wait until the readings are steady.
        </li>
        <li>Tape the holes afterward. Keep hands, sleeves and tubes clear of the impeller.</li>
      </ol>
      <h2 className="pt-4 pb-1 text-[17px]">Test setup</h2>
      <div className="space-y-1">
        <FieldLine
          label="Duct inside diameter"
          of="at the tap"
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
          label="Flow meter accuracy"
          value={test.flowUncertainty}
          kind="ratio"
          min={0}
          max={1}
          onChange={(uncertainty) =>
            editTest(test, 'flow meter', (own) => {
              own.flowUncertainty = uncertainty;
            })
          }
        />
        <FieldLine
          label="Manometer accuracy"
          value={test.pressureUncertainty}
          kind="ratio"
          min={0}
          max={1}
          onChange={(uncertainty) =>
            editTest(test, 'manometer', (own) => {
              own.pressureUncertainty = uncertainty;
            })
          }
        />
        <FieldLine
          label="Impeller speed"
          of="in the test"
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
          label="Air density"
          of="in the test"
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
        <Button onClick={() => startTest(shop)}>Start another test</Button>
        <Button look="quiet" onClick={() => dropTest(test)}>
          Remove this test
        </Button>
      </div>
    </>
  );
}
