'use client';

import { SLIP_JOINT_GAP } from '@frank-gauge/core/catalogue';
import { SEPARATORS } from '@frank-gauge/core/collector';
import type { Shop } from '@frank-gauge/core/design';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import dynamic from 'next/dynamic';
import { useDesign, useUnits } from '@/model/use-design';
import { PartLoading } from '@/ui/part-loading';
import { usePreload } from '@/ui/use-preload';
import { exhaustWord } from '@/words/part-words';
import { PresentCollector } from '../../parts/edited-collector';
import { OpeningLine } from '../../parts/opening-line';
import { sealingName } from './sealing-classes';

const loadBlowerFields = () =>
  import('../../parts/blower-fields').then((module) => module.BlowerFields);
const loadExhaustFields = () =>
  import('../../parts/exhaust-fields').then((module) => module.ExhaustFields);
const loadSeparatorFields = () =>
  import('../../parts/separator-fields').then((module) => module.SeparatorFields);
const loadLeakFields = () => import('./leak-fields').then((module) => module.LeakFields);
const loadSiteFields = () => import('./site-fields').then((module) => module.SiteFields);

const BlowerFields = dynamic(loadBlowerFields, { loading: PartLoading });
const ExhaustFields = dynamic(loadExhaustFields, { loading: PartLoading });
const SeparatorFields = dynamic(loadSeparatorFields, { loading: PartLoading });
const LeakFields = dynamic(loadLeakFields, { loading: PartLoading });
const SiteFields = dynamic(loadSiteFields, { loading: PartLoading });

/** The collector's parts and the site, a line each, opening to their fields. */
export function CollectorLines() {
  usePreload(
    loadBlowerFields,
    loadExhaustFields,
    loadSeparatorFields,
    loadLeakFields,
    loadSiteFields,
  );
  const shop = useDesign();
  const system = useUnits();
  const { separator, blower, exhaust } = shop.collector;
  const write = (value: number, kind: Parameters<typeof formatShort>[1]) =>
    formatShort(value, kind, system);
  const loading = shop.condition.filterLoading.value;
  return (
    <>
      <h2 className="px-3 pt-3 pb-1 text-[17px]">Collector</h2>
      <OpeningLine
        id="exhaust"
        name={exhaustWord(exhaust.kind)}
        about={
          exhaust.kind === 'outdoors'
            ? `${write(exhaust.diameter, 'diameter')} duct`
            : exhaust.filter
              ? `${write(exhaust.filter.area, 'area')}, loading ×${loading.toFixed(1)}`
              : 'no filter'
        }
      >
        <PresentCollector>
          <ExhaustFields />
        </PresentCollector>
      </OpeningLine>
      <OpeningLine id="blower" name="Blower" about={blower.name}>
        <PresentCollector>
          <BlowerFields />
        </PresentCollector>
      </OpeningLine>
      <OpeningLine
        id="separator"
        name="Separator"
        about={
          separator.kind === 'none'
            ? `none; inlet ${write(separator.inletDiameter, 'diameter')}`
            : `${SEPARATORS[separator.kind].name}, ${write(separator.inletDiameter, 'diameter')} inlet`
        }
      >
        <PresentCollector>
          <SeparatorFields />
        </PresentCollector>
      </OpeningLine>
      <OpeningLine id="leaks" name="Leaks, as found" about={leaksWords(shop, system)}>
        <LeakFields />
      </OpeningLine>
      <OpeningLine
        id="site"
        name="Air and methods"
        about={`${write(shop.shop.site.elevation, 'elevation')} elevation, ${write(shop.shop.site.temperature, 'temperature')}`}
      >
        <SiteFields />
      </OpeningLine>
    </>
  );
}

/** The shop's seams, and what else is believed to be open. */
function leaksWords(shop: Shop, system: UnitSystem): string {
  const { sealing, joints, holes, pressureSide } = shop.condition;
  const more = [
    ...(joints.usual > 0
      ? [
          joints.usual === SLIP_JOINT_GAP
            ? 'slip joints not taped'
            : `${formatShort(joints.usual, 'roughness', system)} gaps`,
        ]
      : []),
    ...(holes.length > 0 ? [holes.length === 1 ? 'one opening' : `${holes.length} openings`] : []),
    ...(pressureSide.area > 0 ? ['▼ openings behind the blower'] : []),
  ];
  return [sealingName(sealing.usual), ...more].join(', ');
}
