'use client';

import {
  lettersOf,
  MAKERS,
  type MadeThing,
  type MakerId,
  type MakerSaying,
  partKinds,
} from '@frank-gauge/core/makers';
import { type QuantityKind, writeForField } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { makerReason, makerWords } from '@/words/maker-sayings';
import { listWords, MAKER_WORDS } from '@/words/maker-words';
import { rulerLength } from '@/words/tape-length';
import { FieldLine, Line } from '../../parts/line';
import { PaperChoice } from '../paper-choice';
import { useLastGood } from '../use-last-good';
import { MakerChecks } from './maker-checks';
import { MakerDrawing } from './maker-drawing';
import { PartDrawings } from './part-drawings';
import { SheetCuts } from './sheet-cuts';
import { ShoppingLists } from './shopping-lists';
import { useMakeList, useMaker, useMakerChoices } from './use-maker';

const IDS = Object.keys(MAKERS) as MakerId[];
const OPTIONS = IDS.map((value) => ({ value, label: MAKER_WORDS[value].name }));

/** Lids, baffles, boxes, shelves and lifts to make in the shop, their sizes following the collector. */
export function MakersView() {
  const { choose } = useMakerChoices();
  const { id, made, ...sizes } = useMaker();
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-[18px]">Shop-made parts</h1>
        <span className="hidden text-[18px] print:inline">{MAKER_WORDS[id].name}</span>
        <span className="ml-auto print:hidden">
          <Button look="quiet" onClick={() => window.print()}>
            Print
          </Button>
        </span>
      </div>
      <div className="max-w-120 pt-1 print:hidden">
        <Line label="Make">
          <Choice
            label="Make"
            value={id}
            options={OPTIONS}
            onChange={(maker) => choose({ maker })}
          />
        </Line>
        <PaperChoice />
        <MakeList id={id} />
      </div>
      <p className="max-w-prose pt-1 text-[15px]">{MAKER_WORDS[id].about}</p>
      <Sizes key={id} id={id} {...sizes} refused={made.ok ? null : made} />
      <Outcome key={`outcome ${id}`} id={id} made={made} sizes={JSON.stringify(sizes.typed)} />
    </div>
  );
}

/** Whether the part is on the list of what is to be made, and what else is. */
function MakeList({ id }: { readonly id: MakerId }) {
  const { list, toggle } = useMakeList();
  return (
    <div className="pt-1 text-[15px]">
      <label className="flex min-h-11 items-center gap-2 md:min-h-7">
        <input
          type="checkbox"
          className="size-5 accent-ink md:size-4"
          checked={list.includes(id)}
          onChange={() => toggle(id)}
        />
        I am going to make this
      </label>
      {list.length > 0 && <p className="text-quiet">On your list: {listWords(list)}.</p>}
    </div>
  );
}

interface SizesProps
  extends Pick<
    ReturnType<typeof useMaker>,
    'id' | 'typed' | 'usual' | 'fields' | 'setSize' | 'clearSize' | 'clearAll'
  > {
  readonly refused: { readonly field: string; readonly reason: MakerSaying } | null;
}

function Sizes({ id, typed, usual, fields, refused, setSize, clearSize, clearAll }: SizesProps) {
  const system = useUnits();
  const labels: Readonly<Record<string, string>> = MAKER_WORDS[id].sizes;
  const written = (value: number, kind: QuantityKind) =>
    kind === 'diameter' || kind === 'length'
      ? rulerLength(value, system)
      : writeForField(value, kind, system);
  return (
    <section aria-label="Sizes" className="pt-2">
      <div className="grid max-w-220 gap-x-8 md:grid-cols-2 [&_[data-line]]:grid-cols-[minmax(0,15rem)_8.5rem]">
        {Object.entries(fields).map(([field, { kind, min, max }]) => (
          <FieldLine
            key={field}
            label={labels[field] ?? field}
            value={typed[field] ?? null}
            kind={kind}
            min={min}
            max={max}
            placeholder={written(usual[field] ?? Number.NaN, kind)}
            warning={refused?.field === field ? makerReason(refused.reason, system) : null}
            onChange={(value) => setSize(field, kind === 'number' ? Math.round(value) : value)}
            onClear={() => clearSize(field)}
          />
        ))}
      </div>
      <p className="max-w-prose pt-1 text-[14px] text-quiet print:hidden">
        A size in gray follows the collector. Type your own over it; empty the field to go back.{' '}
        {Object.keys(typed).length > 0 && (
          <Button look="quiet" onClick={clearAll}>
            Reset all sizes
          </Button>
        )}
      </p>
    </section>
  );
}

interface OutcomeProps {
  readonly id: MakerId;
  readonly made: ReturnType<typeof useMaker>['made'];
  /** Another text each time a size is changed. */
  readonly sizes: string;
}

/** What comes of the sizes; while one of them is wrong, what came of the last that were right. */
function Outcome({ id, made, sizes }: OutcomeProps) {
  const shown = useLastGood(made.ok ? made.thing : null, sizes);
  return (
    <>
      {!made.ok && (
        <p role="status" className="pt-2 text-[15px] text-starved-text">
          A part of these sizes cannot be made. The reason is given at the size that has to change.
          {shown && ' The drawing is of the last sizes that can; it cannot be saved.'}
        </p>
      )}
      {shown && (made.ok ? <Made id={id} thing={shown} /> : <LastMade id={id} thing={shown} />)}
    </>
  );
}

/** The drawing of earlier sizes, to be looked at. */
function LastMade({ id, thing }: { readonly id: MakerId; readonly thing: MadeThing }) {
  const letters = useMemo(() => lettersOf(thing.parts, partKinds(thing.parts)), [thing]);
  return <MakerDrawing name={MAKER_WORDS[id].name} thing={thing} letters={letters} isStale />;
}

function Made({ id, thing }: { readonly id: MakerId; readonly thing: MadeThing }) {
  const system = useUnits();
  const { kinds, letters } = useMemo(() => {
    const own = partKinds(thing.parts);
    return { kinds: own, letters: lettersOf(thing.parts, own) };
  }, [thing]);
  const { name } = MAKER_WORDS[id];
  return (
    <>
      <MakerChecks checks={thing.checks} />
      <MakerDrawing name={name} thing={thing} letters={letters} />
      <ol aria-label="How to build it" className="max-w-prose list-decimal pt-2 pl-5 text-[15px]">
        {thing.steps.map((step) => (
          <li key={step.id}>{makerWords(step, system)}</li>
        ))}
      </ol>
      <ShoppingLists name={name} thing={thing} kinds={kinds} />
      <SheetCuts name={name} kinds={kinds} />
      <PartDrawings name={name} kinds={kinds} />
      <p className="max-w-prose pt-3 text-[14px] text-quiet">
        Weights, stiffness and what screws hold are estimates; where something heavy hangs over
        people, ask someone who builds such things. Wear a respirator when you rout or sand MDF.
        Unplug the blower before you open it. Flat lids and sides can give way under a strong
        blower: watch them the first time it runs with all gates shut.
      </p>
    </>
  );
}
