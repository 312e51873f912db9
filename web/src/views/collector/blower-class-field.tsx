'use client';

import { BLOWER_CLASS_IDS, BLOWER_CLASSES, blowerOfClass } from '@frank-gauge/core/collector';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { useCollector } from '../parts/edited-collector';
import { Line } from '../parts/line';

const OWN = 'own';

/** A blower from the library, to start from: its figures are estimates, and can all be changed. */
export function BlowerClassField() {
  const system = useUnits();
  const { parts, editParts } = useCollector();
  const known = BLOWER_CLASS_IDS.find((id) => blowerOfClass(id, system).name === parts.blower.name);
  return (
    <Line label="From the library">
      <Choice
        label="From the library, a blower"
        value={known ?? OWN}
        options={[
          ...BLOWER_CLASS_IDS.map((value) => ({
            value,
            label: `${BLOWER_CLASSES[value].name} (estimate)`,
          })),
          { value: OWN, label: 'other values' },
        ]}
        onChange={(id) => {
          if (id === OWN) return;
          editParts('blower', (own) => {
            own.blower = blowerOfClass(id, system);
          });
        }}
      />
    </Line>
  );
}
