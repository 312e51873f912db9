'use client';

import { SEPARATOR_KINDS } from '@frank-gauge/core/catalogue';
import {
  CYCLONE_FAMILIES,
  CYCLONE_FAMILY_IDS,
  cycloneOf,
  SEPARATORS,
} from '@frank-gauge/core/collector';
import type { Separator } from '@frank-gauge/core/design';
import { separatorHeads } from '@frank-gauge/core/network';
import { formatShort } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { useCollector } from './edited-collector';
import { DiameterLine, FieldLine, Line, ShopQuantity } from './line';

/** A separator's kind, inlet and loss; a cyclone's by its proportions, if they are known. */
export function SeparatorFields() {
  const { parts, editSeparator } = useCollector();
  const { separator } = parts;
  const isProportioned = separator.kind === 'cyclone' && separator.proportions !== null;
  return (
    <>
      <Line label="kind">
        <Choice
          label="Kind of separator"
          value={separator.kind}
          options={SEPARATOR_KINDS.map((value) => ({ value, label: SEPARATORS[value].name }))}
          onChange={(kind) =>
            editSeparator('kind of separator', (own) => {
              own.kind = kind;
              own.heads = SEPARATORS[kind].heads;
              own.caught = SEPARATORS[kind].caught;
              own.origin = { kind: 'assumed' };
              own.proportions = null;
            })
          }
        />
      </Line>
      <DiameterLine
        line="inlet, true inside"
        label="Inlet diameter of the separator"
        value={separator.inletDiameter}
        onChange={(diameter) =>
          editSeparator('inlet diameter', (own) => {
            own.inletDiameter = diameter;
          })
        }
      />
      {separator.kind === 'cyclone' && <CycloneFields separator={separator} />}
      {separator.kind !== 'none' && !isProportioned && <HeadsFields separator={separator} />}
    </>
  );
}

interface Props {
  readonly separator: Separator;
}

/** Loss and catch as they are believed. */
function HeadsFields({ separator }: Props) {
  const { editSeparator } = useCollector();
  const [least, most] = SEPARATORS[separator.kind].range;
  return (
    <>
      <Line label="velocity heads">
        <span className="grid grid-cols-[72px_1fr] items-center gap-2">
          <ShopQuantity
            label="Loss of the separator in velocity heads"
            value={separator.heads}
            kind="number"
            min={0}
            max={100}
            onChange={(heads) =>
              editSeparator('velocity heads', (own) => {
                own.heads = heads;
                own.origin = { kind: 'assumed' };
              })
            }
          />
          <span className="text-[14px] text-quiet">
            usual {least}–{most}; until measured, an estimate
          </span>
        </span>
      </Line>
      <FieldLine
        line="bin gets"
        label="Share of the dust its bin gets"
        value={separator.caught}
        kind="ratio"
        min={0}
        max={1}
        onChange={(caught) =>
          editSeparator('what the bin gets', (own) => {
            own.caught = caught;
          })
        }
      />
    </>
  );
}

const BY_HEADS = 'heads';
/** Body of a new cyclone in diameters of its round inlet: a usual proportion, to be measured. */
const USUAL_BODY = 3;

/** A cyclone by a published family's proportions: only its body's diameter is to be measured. */
function CycloneFields({ separator }: Props) {
  const system = useUnits();
  const { load, editSeparator } = useCollector();
  const { proportions } = separator;
  const family =
    proportions &&
    CYCLONE_FAMILY_IDS.find((id) => {
      const { inletWidth } = CYCLONE_FAMILIES[id];
      return Math.abs(proportions.inletWidth / proportions.bodyDiameter - inletWidth) < 1e-6;
    });
  return (
    <>
      <Line label="reckoned by">
        <Choice
          label="How the cyclone is reckoned"
          value={family ?? BY_HEADS}
          options={[
            { value: BY_HEADS, label: 'velocity heads' },
            ...CYCLONE_FAMILY_IDS.map((value) => ({
              value,
              label: `proportions: ${CYCLONE_FAMILIES[value].name.toLowerCase()}`,
            })),
          ]}
          onChange={(value) =>
            editSeparator('how the cyclone is reckoned', (own) => {
              const diameter = own.proportions?.bodyDiameter ?? USUAL_BODY * own.inletDiameter;
              own.proportions = value === BY_HEADS ? null : cycloneOf(value, diameter);
            })
          }
        />
      </Line>
      {proportions && (
        <>
          <DiameterLine
            line="body, inside"
            label="Diameter of the cyclone’s body"
            value={proportions.bodyDiameter}
            onChange={(diameter) =>
              editSeparator('cyclone body', (own) => {
                if (family) own.proportions = cycloneOf(family, diameter);
              })
            }
          />
          <p className="text-[14px] text-quiet">
            {separatorHeads(separator).toFixed(1)} velocity heads of the inlet (Shepherd and Lapple)
            {load?.separator.cutSize != null &&
              `; half of ${formatShort(load.separator.cutSize, 'dustSize', system)} dust caught, ${(100 * load.separator.caught).toFixed(1)} % by mass`}
          </p>
        </>
      )}
    </>
  );
}
