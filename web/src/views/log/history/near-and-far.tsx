'use client';

import type { Reading } from '@frank-gauge/core/journal';
import { formatShort } from '@frank-gauge/core/quantity';
import { compareSides, dropsByDistance, type SideReadings } from '@frank-gauge/core/reading';
import { useMemo } from 'react';
import { useDuctTree, useUnits } from '@/model/use-design';
import { comparedWords, percentChange } from '@/words/change-words';
import { usePointIds } from '../../parts/taking/use-point-ids';
import { byPoint, type Visit } from './visits';

const isWithinRange = ({ taken }: Reading) => taken.every(({ kind }) => kind === 'value');

interface Props {
  readonly visit: Visit;
  /** What the visit is called. */
  readonly name: string;
  readonly by: SideReadings['by'];
}

/** What each drop drew against the one nearest to the blower, in the order of the duct between. */
export function NearAndFar({ visit, name, by }: Props) {
  const system = useUnits();
  const tree = useDuctTree();
  const pointOf = usePointIds();
  const rows = useMemo(() => {
    const read = byPoint(visit);
    return dropsByDistance(tree).flatMap(({ drop, distance }) => {
      const readings = read.get(pointOf(drop.id));
      return readings ? [{ drop, distance, readings }] : [];
    });
  }, [visit, tree, pointOf]);
  // A bound compares with nothing: the nearest drop that was read within the meter’s range, if there is one.
  const nearest = rows.find(({ readings }) => readings.every(isWithinRange)) ?? rows[0];
  const others = rows.filter((row) => row !== nearest);
  if (!nearest || others.length === 0) return null;
  return (
    <section aria-label="Near against far" className="pt-5 print:hidden">
      <h2 className="text-[18px]">Near against far</h2>
      <p className="text-[14px] text-quiet">
        {name}, against {nearest.drop.name}, {formatShort(nearest.distance, 'length', system)} from
        the blower
      </p>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-ink border-b text-left text-[13px] text-quiet [&>th]:py-1 [&>th]:font-normal">
            <th>drop</th>
            <th className="text-right">duct to the blower</th>
            <th className="pl-4 text-right">airflow</th>
            <th className="pl-4">finding</th>
          </tr>
        </thead>
        <tbody>
          {others.map(({ drop, distance, readings }) => {
            const compared = compareSides({ readings: nearest.readings, by }, { readings, by });
            return (
              <tr key={drop.id} className="border-rule border-b align-top [&>td]:py-1">
                <td>{drop.name}</td>
                <td className="whitespace-nowrap text-right">
                  {formatShort(distance, 'length', system)}
                </td>
                <td className="whitespace-nowrap pl-4 text-right">
                  {compared.kind === 'change' ? percentChange(compared.ratio) : '–'}
                </td>
                <td className="pl-4 text-[14px] text-quiet">{comparedWords(compared)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
