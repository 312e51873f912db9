'use client';

import { SEPARATOR_KINDS } from '@frank-gauge/core/catalogue';
import {
  CYCLONE_FAMILIES,
  CYCLONE_FAMILY_IDS,
  cycloneOf,
  SEPARATORS,
} from '@frank-gauge/core/collector';
import type { Separator } from '@frank-gauge/core/design';
import { separatorCoefficient } from '@frank-gauge/core/network';
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
      <Line label="Separator">
        <Choice
          label="Separator, kind"
          value={separator.kind}
          options={SEPARATOR_KINDS.map((value) => ({ value, label: SEPARATORS[value].name }))}
          onChange={(kind) =>
            editSeparator('kind of separator', (own) => {
              own.kind = kind;
              own.lossCoefficient = SEPARATORS[kind].lossCoefficient;
              own.caught = SEPARATORS[kind].caught;
              own.origin = { kind: 'assumed' };
              own.proportions = null;
            })
          }
        />
      </Line>
      <DiameterLine
        label="Inlet inside diameter"
        of="separator"
        value={separator.inletDiameter}
        onChange={(diameter) =>
          editSeparator('inlet diameter', (own) => {
            own.inletDiameter = diameter;
          })
        }
      />
      {separator.kind === 'cyclone' && <CycloneFields separator={separator} />}
      {separator.kind !== 'none' && !isProportioned && <CoefficientFields separator={separator} />}
    </>
  );
}

interface Props {
  readonly separator: Separator;
}

/** Loss and catch as they are believed. */
function CoefficientFields({ separator }: Props) {
  const { editSeparator } = useCollector();
  const [least, most] = SEPARATORS[separator.kind].range;
  return (
    <>
      <Line label="Loss coefficient (C)">
        <span className="grid grid-cols-[72px_1fr] items-center gap-2">
          <ShopQuantity
            label="Loss coefficient (C), separator"
            value={separator.lossCoefficient}
            kind="number"
            min={0}
            max={100}
            onChange={(lossCoefficient) =>
              editSeparator('loss coefficient', (own) => {
                own.lossCoefficient = lossCoefficient;
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
        label="Separation efficiency"
        value={separator.caught}
        kind="ratio"
        min={0}
        max={1}
        onChange={(caught) =>
          editSeparator('separation efficiency', (own) => {
            own.caught = caught;
          })
        }
      />
    </>
  );
}

const BY_HEADS = 'lossCoefficient';
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
      <Line label="Method">
        <Choice
          label="Method, cyclone"
          value={family ?? BY_HEADS}
          options={[
            { value: BY_HEADS, label: 'typed loss coefficient' },
            ...CYCLONE_FAMILY_IDS.map((value) => ({
              value,
              label: `proportions: ${CYCLONE_FAMILIES[value].name.toLowerCase()}`,
            })),
          ]}
          onChange={(value) =>
            editSeparator('cyclone method', (own) => {
              const diameter = own.proportions?.bodyDiameter ?? USUAL_BODY * own.inletDiameter;
              own.proportions = value === BY_HEADS ? null : cycloneOf(value, diameter);
            })
          }
        />
      </Line>
      {proportions && (
        <>
          <DiameterLine
            label="Body inside diameter"
            of="cyclone"
            value={proportions.bodyDiameter}
            onChange={(diameter) =>
              editSeparator('cyclone body', (own) => {
                if (family) own.proportions = cycloneOf(family, diameter);
              })
            }
          />
          <p className="text-[14px] text-quiet">
            {separatorCoefficient(separator).toFixed(1)} is the loss coefficient (C) at the inlet
            (Shepherd and Lapple)
            {load?.separator.cutSize != null &&
              `; half of ${formatShort(load.separator.cutSize, 'dustSize', system)} dust caught, ${(100 * load.separator.caught).toFixed(1)} % by mass`}
          </p>
        </>
      )}
    </>
  );
}
