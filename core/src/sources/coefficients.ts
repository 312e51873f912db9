import { LIMITS } from '../analysis/findings/limits';
import { FITTED_SEPARATOR_UNCERTAINTY, UNCERTAINTY } from '../analysis/flow-uncertainty';
import { MACHINE_KINDS } from '../design/machine-kinds';
import { joinSources } from '../fittings/joins/joins';
import { fittingSources } from '../fittings/kinds/fitting-kinds';
import type { CoefficientGroup } from '../quantity/coefficient';
import { DOOR_DEPTH } from '../room/room-outline';
import { STANDING_ROOM } from '../room/standing';
import { airAndDuct } from './air-and-duct';
import { assemblyAndNoise } from './assembly-and-noise';
import { building } from './building';
import { collector } from './collector';
import { ductsOnTheFloor } from './ducts-on-the-floor';
import { fittings } from './fittings';
import { measuring } from './measuring';
import { upkeep } from './upkeep';

/**
 * The coefficients the program uses, gathered from the very tables it uses: what is
 * listed cannot differ from what is used.
 */
export const coefficientGroups = (): CoefficientGroup[] => [
  ...airAndDuct(),
  ...fittings(),
  ...joinSources(),
  ...fittingSources(),
  ...collector(),
  ...assemblyAndNoise(),
  {
    title: 'Machines, to start from',
    about: 'flow each usually needs, and its port; edit both to what stands in your shop',
    source: 'common practice, no source',
    coefficients: Object.values(MACHINE_KINDS).flatMap(({ name, flow, diameter }) => [
      { name, value: flow, kind: 'flow' as const, origin: 'practice' as const },
      {
        name: `${name}, port`,
        value: diameter,
        kind: 'diameter' as const,
        origin: 'practice' as const,
      },
    ]),
  },
  {
    title: 'Machines on the floor',
    about: 'across and along the way boards go; a person’s and a door’s clear floor',
    source: 'common practice, no source',
    coefficients: [
      ...Object.values(MACHINE_KINDS).flatMap(({ name, width, depth }) => [
        {
          name: `${name}, across`,
          value: width,
          kind: 'diameter' as const,
          origin: 'practice' as const,
        },
        {
          name: `${name}, along`,
          value: depth,
          kind: 'diameter' as const,
          origin: 'practice' as const,
        },
      ]),
      { name: 'Room to stand', value: STANDING_ROOM, kind: 'length', origin: 'practice' },
      { name: 'Clear before a door', value: DOOR_DEPTH, kind: 'length', origin: 'practice' },
    ],
  },
  {
    title: 'Where findings begin',
    about: 'what is said aloud, and from where on',
    source: 'common practice, no source, and ours',
    coefficients: Object.values(LIMITS),
  },
  {
    title: 'Doubt',
    about: 'how far each kind of number may be off, 95 times in 100: what every ± is made of',
    source: 'modeling defaults, until readings say more',
    coefficients: [
      ...Object.entries(UNCERTAINTY).map(([name, value]) => ({
        name: `${name.charAt(0).toUpperCase()}${name.slice(1)}`,
        value,
        kind: 'ratio' as const,
        origin: 'estimate' as const,
      })),
      {
        name: 'Separator, fitted to readings',
        value: FITTED_SEPARATOR_UNCERTAINTY,
        kind: 'ratio',
        origin: 'estimate',
      },
    ],
  },
  ...ductsOnTheFloor(),
  ...building(),
  ...upkeep(),
  ...measuring(),
];
