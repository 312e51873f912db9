'use client';

import {
  type ByWall,
  hangersOf,
  holesOf,
  type PointToMark,
  pointsToMark,
} from '@frank-gauge/core/build';
import { formatShort } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { tapeLength } from '@/words/tape-length';

interface Row {
  readonly run: string;
  readonly what: string;
  readonly place: ByWall;
}

/** What is marked on the walls by tape: points of the centerlines, hangers, holes. */
export function MarksTables() {
  const shop = useDesign();
  const tree = useDuctTree();
  const system = useUnits();
  const marks = useMemo(
    () => ({
      points: pointsToMark(shop, tree),
      hangers: hangersOf(shop, tree),
      holes: holesOf(shop, tree),
    }),
    [shop, tree],
  );
  if (marks.points.length === 0) {
    return (
      <p className="pt-3 text-[15px] text-quiet">
        Draw the room and the ducts on the Floor: then heights and distances from the corners stand
        here.
      </p>
    );
  }
  return (
    <>
      <p className="max-w-prose pt-4 text-[15px]">
        Walls are counted around the room from the first corner of its outline, the front wall
        first. From the left is as you face the wall from within. All figures are of centerlines.
      </p>
      <Marks
        title="Points of the ducts"
        rows={marks.points.map(({ run, what, ...place }) => ({
          run,
          what: whatWords(what),
          place,
        }))}
      />
      <Marks
        title="Hangers"
        rows={marks.hangers.map(({ run, at: _, isStrap, ...place }) => ({
          run,
          what: isStrap ? 'strap' : 'hanger',
          place,
        }))}
      />
      <Marks
        title="Holes"
        none="No drawn duct goes through a wall, the ceiling or the floor."
        rows={marks.holes.map(({ run, through, at, diameter }) => ({
          run,
          what: `through the ${through}, ${formatShort(diameter, 'diameter', system)} across`,
          place: at,
        }))}
      />
    </>
  );
}

const whatWords = (what: PointToMark['what']): string =>
  what.kind === 'corner'
    ? `corner ${what.nth}`
    : what.kind === 'begins'
      ? 'pipe begins'
      : 'pipe ends';

interface Props {
  readonly title: string;
  readonly rows: readonly Row[];
  /** Said where there are none. */
  readonly none?: string;
}

function Marks({ title, rows, none }: Props) {
  const system = useUnits();
  const runs = useDesign((shop) => shop.ducts.runs);
  const nameOf = (id: string) => runs.find((run) => run.id === id)?.name ?? id;
  if (rows.length === 0) {
    return none ? <p className="pt-2 text-[15px] text-quiet">{none}</p> : null;
  }
  return (
    <section aria-label={title} className="pt-3">
      <h2 className="text-[17px]">{title}</h2>
      <div className="relative overflow-x-auto">
        <table aria-label={title} className="w-full max-w-220 text-[15px]">
          <thead>
            <tr className="border-ink border-b text-left text-[14px] text-quiet">
              <th className="font-normal">run</th>
              <th className="px-2 text-right font-normal">wall</th>
              <th className="px-2 text-right font-normal">from the left</th>
              <th className="px-2 text-right font-normal">off the wall</th>
              <th className="pl-2 text-right font-normal">above the floor</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ run, what, place }, i) => (
              <tr key={i} className="border-rule border-b">
                <td>
                  {nameOf(run)}
                  {what !== '' && <span className="text-quiet">, {what}</span>}
                </td>
                <td className="px-2 text-right font-figure">{place.wall + 1}</td>
                {[place.fromLeft, place.off, place.height].map((length, k) => (
                  <td key={k} className="whitespace-nowrap px-2 text-right font-figure last:pr-0">
                    {tapeLength(length, system)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
