'use client';

import { lidSheet, type SeparatorLid, separatorLid } from '@frank-gauge/core/build';
import { toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { checkRuler } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { templateFaultWords } from '@/words/template-words';
import { FieldLine } from '../../parts/line';
import { useLastGood } from '../use-last-good';
import { NoTemplate } from './no-template';
import { Template } from './template';
import { useTemplate } from './use-template';

/** A lid over a 55-gal drum with 4-in. elbows, or a metric one. */
const usual = (system: UnitSystem): SeparatorLid =>
  system === 'us'
    ? {
        lid: toSI(24, 'in'),
        drum: toSI(22.5, 'in'),
        inlet: toSI(4.5, 'in'),
        outlet: toSI(4.5, 'in'),
      }
    : { lid: 0.61, drum: 0.57, inlet: 0.11, outlet: 0.11 };

const FIELDS = [
  ['lid', 'Lid, outside diameter'],
  ['drum', 'Drum, inside diameter'],
  ['inlet', 'Inlet elbow, outside diameter'],
  ['outlet', 'Outlet elbow, outside diameter'],
] as const;

/** A lid with one elbow that blows along the wall, and one in the middle that draws. */
export function LidTemplate() {
  const system = useUnits();
  const { choices, choose } = useTemplate();
  const own = { ...usual(system), ...choices.lid };
  const made = separatorLid(own);
  const sheet = made.ok
    ? lidSheet(made.holes, own.lid, { inlet: 'inlet', outlet: 'outlet', ruler: checkRuler(system) })
    : null;
  const shown = useLastGood(sheet, JSON.stringify([own, system]));
  return (
    <>
      <div className="max-w-120">
        {FIELDS.map(([field, label]) => (
          <FieldLine
            key={field}
            label={label}
            value={own[field]}
            kind="diameter"
            min={0}
            isMinExcluded
            max={5}
            warning={
              !made.ok && made.field === field ? templateFaultWords(made.fault, system) : null
            }
            onChange={(value) => choose({ lid: { ...choices.lid, [field]: value } })}
          />
        ))}
      </div>
      {!made.ok && <NoTemplate hasDrawing={shown !== null} />}
      {shown && (
        <>
          <p className="max-w-prose pt-2 text-[15px]">
            Turn the inlet’s elbow under the lid so that it blows along the wall, the way the arrow
            points; let the outlet end close under the lid. Seal both, and the lid, with gaskets.
          </p>
          <Template name="Lid" file="lid" items={shown} isStale={!made.ok} />
        </>
      )}
    </>
  );
}
