'use client';

import { useUnits } from '@/model/use-design';
import { MOUNTS } from '@/words/mount-words';
import { tapeLength } from '@/words/tape-length';
import { useCollector } from '../../parts/edited-collector';
import { OpeningLine } from '../../parts/opening-line';
import { SeparatorFields } from '../../parts/separator-fields';
import { useElevation } from '../../parts/use-elevation';
import { BaffleDesign } from '../separator/baffle-design';
import { CycloneDesign } from '../separator/cyclone-design';
import { SeparatorMethods } from '../separator/separator-methods';
import { BinFields } from './bin-fields';
import { JointFields } from './coupling-fields';
import { BracketFields, MountFields } from './mount-fields';
import { OrderAndRoom } from './order-and-room';
import { BlowerSizeFields, FilterSizeFields, SeparatorSizeFields } from './size-fields';

/** Everything about how the collector stands, a line each, opening to its fields. */
export function AssemblyFields() {
  const system = useUnits();
  const { parts } = useCollector();
  const { elevation } = useElevation();
  const { sizes } = elevation;
  const { assembly } = parts;
  const length = (value: number) => tapeLength(value, system);
  const across = (diameter: number, height: number) => `${length(diameter)} × ${length(height)}`;
  const hasSeparator = parts.separator.kind !== 'none';
  return (
    <>
      <OrderAndRoom />
      {hasSeparator && (
        <OpeningLine
          id="bin"
          name="Bin and lid"
          about={`${across(sizes.bin.diameter, sizes.bin.height)}, ${assembly.emptying.kind === 'lower' ? 'lowered' : 'lifted off'}`}
        >
          <BinFields />
        </OpeningLine>
      )}
      <OpeningLine
        id="separator"
        name="Separator"
        about={
          hasSeparator
            ? `${across(sizes.separator.diameter, sizes.separator.height)}${assembly.separator.hungAt === null ? '' : ', hung'}`
            : 'none, one stage'
        }
      >
        <SeparatorFields />
        {hasSeparator && <SeparatorSizeFields />}
        <SeparatorMethods />
        {parts.separator.kind === 'baffle' && <BaffleDesign />}
        {parts.separator.kind === 'cyclone' && <CycloneDesign />}
      </OpeningLine>
      <OpeningLine
        id="coupling"
        name="Couplings"
        about={`${assembly.coupling.kind}, ${assembly.transition.kind}`}
      >
        <JointFields which="coupling" line="First" />
        <JointFields which="transition" line="Second" />
      </OpeningLine>
      <OpeningLine
        id="blower"
        name="Blower"
        about={`${length(sizes.blower.housing)} across, ${parts.blower.name}`}
      >
        <BlowerSizeFields />
      </OpeningLine>
      <OpeningLine id="mount" name="Carried by" about={MOUNTS[assembly.mount.kind]}>
        <MountFields />
        {assembly.mount.kind === 'wall' && <BracketFields />}
      </OpeningLine>
      {sizes.filter.height > 0 && (
        <OpeningLine
          id="filter"
          name="Filter"
          about={across(sizes.filter.diameter, sizes.filter.height)}
        >
          <FilterSizeFields />
        </OpeningLine>
      )}
    </>
  );
}
