'use client';

import { type BuildSheet, buildSheet } from '@frank-gauge/core/build';
import { checkRuler, sheetSvg } from '@frank-gauge/core/routing';
import { useMemo, useState } from 'react';
import { useDesign, useDuctLines, useDuctTree, useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Line } from '../../parts/line';
import { saveDxf } from '../../parts/save-dxf';
import { NothingToBuild } from '../nothing-to-build';
import { PaperChoice, usePaper } from '../paper-choice';
import { savePdf } from '../save-pdf';
import { SheetSvg } from '../sheet-svg';
import { useCuts } from '../use-cuts';
import { MarksTables } from './marks-tables';

const SHEETS: Readonly<Record<BuildSheet, string>> = {
  isometric: 'Isometric',
  plan: 'Plan',
  front: 'From the front',
  back: 'From the back',
  left: 'From the left',
  right: 'From the right',
};
const SCALES = [10, 20, 25, 50, 100] as const;
/** Letters on the screen; lengths may cover each other here, and are hidden until they are asked for. */
const LETTERS = 115;
const SMALL = new Set(['sizes', 'studs'] as const);
const STUDS = new Set(['studs'] as const);

/** Drawings with piece numbers and hangers, to scale on paper, and what is marked on walls by tape. */
export function DrawingsView() {
  const shop = useDesign();
  const tree = useDuctTree();
  const { lines } = useDuctLines();
  const { groups } = useCuts();
  const [sheet, setSheet] = useState<BuildSheet>('isometric');
  const [scale, setScale] = useState<number>(25);
  const [hasLengths, setHasLengths] = useState(false);
  const paper = usePaper();
  const ruler = checkRuler(useUnits());
  const items = useMemo(
    () =>
      buildSheet(
        shop,
        tree,
        sheet,
        groups.flatMap(({ pieces }) => pieces),
      ),
    [shop, tree, sheet, groups],
  );
  if (shop.ducts.runs.length === 0) return <NothingToBuild />;
  if (lines.size === 0) {
    return (
      <div className="px-4 pt-3 pb-6">
        <h1 className="text-[18px]">Drawings</h1>
        <MarksTables />
      </div>
    );
  }
  const title = `${shop.shop.name}, ${SHEETS[sheet].toLowerCase()}, 1:${scale}`;
  const ways = [
    {
      format: 'PDF',
      save: () =>
        void savePdf(`${sheet}-1-${scale}`, items, { paper, title, scale: 1 / scale, ruler }),
    },
    {
      format: 'SVG',
      save: () => saveFile(`${sheet}.svg`, sheetSvg(items, 1 / scale), 'image/svg+xml'),
    },
    { format: 'DXF', save: () => void saveDxf(sheet, items) },
  ];
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-[18px]">Drawings</h1>
        <span className="ml-auto flex flex-wrap gap-2 print:hidden">
          {ways.map(({ format, save }) => (
            <Button key={format} look="quiet" onClick={save}>
              Save as {format}
            </Button>
          ))}
          <Button look="quiet" onClick={() => window.print()}>
            Print
          </Button>
        </span>
      </div>
      <p className="max-w-prose text-[15px]">
        Numbers in circles are the pieces of the cut list; a cross is where the duct is hung.
        Lengths of the centerlines are on the isometric and the plan; elevations have the height
        above the floor, and the distance from the corner on the left, of what is by the wall you
        face. Runs that are not drawn on the Floor are left out.
      </p>
      <div className="grid max-w-200 gap-x-6 pt-1 md:grid-cols-3 print:hidden">
        <Line label="Sheet">
          <Choice
            label="Sheet"
            value={sheet}
            options={(Object.keys(SHEETS) as BuildSheet[]).map((value) => ({
              value,
              label: SHEETS[value],
            }))}
            onChange={setSheet}
          />
        </Line>
        <Line label="Scale">
          <Choice
            label="Scale"
            value={`${scale}`}
            options={SCALES.map((each) => ({ value: `${each}`, label: `1:${each}` }))}
            onChange={(value) => setScale(Number(value))}
          />
        </Line>
        <PaperChoice />
        <Line label="Figures here">
          <Choice
            label="Figures here"
            value={hasLengths ? 'shown' : 'hidden'}
            options={[
              { value: 'hidden', label: 'on what is saved only' },
              { value: 'shown', label: 'shown' },
            ]}
            onChange={(value) => setHasLengths(value === 'shown')}
          />
        </Line>
      </div>
      <div className="relative overflow-x-auto">
        <div className="min-w-160">
          <SheetSvg
            name={`${SHEETS[sheet]}, with piece numbers`}
            items={items}
            letters={LETTERS}
            without={hasLengths ? STUDS : SMALL}
            className="max-h-150"
          />
        </div>
      </div>
      <p className="max-w-prose text-[14px] text-quiet">
        Hang ducts from what carries them: joists, rafters, studs, never from drywall or from pipes
        and cables. Before you drill, look what is behind; holes through fire walls and outside
        walls are a matter for local code.
      </p>
      <MarksTables />
    </div>
  );
}
