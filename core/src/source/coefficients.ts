import { MEDIA } from '../collector/filter';
import { CONDUCTOR_MARGIN, FULL_LOAD_AT_115 } from '../collector/motor';
import { SEPARATORS } from '../collector/separator';
import { HOSES } from '../duct/hose';
import { LEAKAGE_CLASSES, SEAM_EXPONENT } from '../duct/leakage';
import { PIPES } from '../duct/pipes';
import { BRANCH_ENTRY } from '../fitting/branch-entry';
import { ELBOW_STYLES } from '../fitting/elbow';
import { CLOSED_GATE_GAP, OPEN_GATE_LOSS } from '../fitting/gate';
import { ENTRIES } from '../fitting/hood';
import type { Origin } from '../quantity/origin';
import type { QuantityKind } from '../quantity/unit-system';
import { MACHINE_KINDS } from '../shop/machine-kinds';
import { DOUBT } from '../verdict/flow-uncertainty';

/** One number the program reckons with. */
export interface Coefficient {
  readonly name: string;
  /** SI, or a plain number. */
  readonly value: number;
  readonly kind: QuantityKind;
  readonly origin: Origin;
}

/** Numbers that belong together, with the source they share. */
export interface CoefficientGroup {
  readonly title: string;
  /** What the numbers are on, in a few words. */
  readonly about: string;
  readonly source: string;
  readonly coefficients: readonly Coefficient[];
}

const plain = (name: string, value: number, origin: Origin): Coefficient => ({
  name,
  value,
  kind: 'number',
  origin,
});

const FROM_MEMORY = 'from memory';

/**
 * The coefficients the program reckons with, gathered from the very tables it reckons by: what is
 * listed cannot differ from what is used.
 */
export function coefficientGroups(): CoefficientGroup[] {
  return [
    {
      title: 'Roughness of pipe',
      about: 'absolute, by Darcy–Weisbach and Colebrook–White',
      source: `ASHRAE Fundamentals, duct design, roughness table (${FROM_MEMORY})`,
      coefficients: Object.values(PIPES).map(({ name, roughness, origin }) => ({
        name,
        value: roughness,
        kind: 'roughness',
        origin,
      })),
    },
    {
      title: 'Roughness of hose, stretched',
      about: 'bunched by a tenth, a 6-in. hose loses 60 % more, in proportion and less when wider',
      source: `ASHRAE Fundamentals; Abushakra et al. 2004, form ${FROM_MEMORY}`,
      coefficients: Object.values(HOSES).map(({ name, roughness, origin }) => ({
        name,
        value: roughness,
        kind: 'roughness',
        origin,
      })),
    },
    {
      title: 'Elbows, 90°',
      about: 'on velocity pressure, by radius over diameter; other angles in proportion',
      source: `ACGIH Industrial Ventilation, elbow table (${FROM_MEMORY})`,
      coefficients: Object.values(ELBOW_STYLES).flatMap(({ name, at, origin }) =>
        at.map(([ratio, loss]) => plain(`${name}, R/D ${ratio}`, loss, origin)),
      ),
    },
    {
      title: 'Branch entry, handbook method',
      about: 'on the branch’s velocity pressure, by angle',
      source: `ACGIH Industrial Ventilation, branch entries (${FROM_MEMORY}); beyond 90° ours`,
      coefficients: BRANCH_ENTRY.filter(([degrees]) => degrees > 0).map(([degrees, loss]) =>
        plain(`${degrees}°`, loss, degrees > 90 ? 'estimate' : 'standard'),
      ),
    },
    {
      title: 'Ways in',
      about: 'on the port’s velocity pressure',
      source: `ACGIH Industrial Ventilation, hood entries (${FROM_MEMORY})`,
      coefficients: Object.values(ENTRIES).map(({ name, loss, origin }) =>
        plain(name, loss, origin),
      ),
    },
    {
      title: 'Gates',
      about: 'a sharp opening between its two ends',
      source: 'modelling default, to be replaced by your own readings',
      coefficients: [
        plain('Fully open, on velocity pressure', OPEN_GATE_LOSS, 'estimate'),
        {
          name: 'Gap of a shut one, of its area',
          value: CLOSED_GATE_GAP,
          kind: 'fineRatio',
          origin: 'estimate',
        },
      ],
    },
    {
      title: 'Separators',
      about: 'velocity heads of the inlet',
      source: `Shepherd and Lapple for cyclones (${FROM_MEMORY}); others modelling defaults`,
      coefficients: Object.values(SEPARATORS)
        .filter(({ heads }) => heads > 0)
        .map(({ name, heads, origin }) => plain(name, heads, origin)),
    },
    {
      title: 'Filter media, clean',
      about: 'permeability: flow per area at 125 Pa, by ASTM D737',
      source: 'modelling defaults, until a manometer replaces them',
      coefficients: Object.values(MEDIA).map(({ name, permeability }) => ({
        name,
        value: permeability,
        kind: 'permeability',
        origin: 'estimate',
      })),
    },
    {
      title: 'Leakage of seams',
      about: `CFM per 100 ft² at 1 in. w.g., rising with pressure to the power ${SEAM_EXPONENT}`,
      source: `SMACNA leakage classes (${FROM_MEMORY})`,
      coefficients: Object.entries(LEAKAGE_CLASSES).map(([name, value]) =>
        plain(`Class of joints ${name}`, value, 'standard'),
      ),
    },
    {
      title: 'Motors, full load at 115 V',
      about: `half at 230 V; the circuit carries ${CONDUCTOR_MARGIN * 100} %`,
      source: `NEC table 430.248 and 430.22 (${FROM_MEMORY})`,
      coefficients: FULL_LOAD_AT_115.filter(([hp]) => hp > 0).map(([hp, current]) => ({
        name: `${hp} hp`,
        value: current,
        kind: 'current',
        origin: 'standard',
      })),
    },
    {
      title: 'Machines, to start from',
      about: 'flow each usually needs; edit it to what stands in your shop',
      source: 'common practice, no source',
      coefficients: Object.values(MACHINE_KINDS).map(({ name, flow }) => ({
        name,
        value: flow,
        kind: 'flow',
        origin: 'practice',
      })),
    },
    {
      title: 'Doubt',
      about: 'how far each kind of number may be off, 95 times in 100: what every ± is made of',
      source: 'modelling defaults, until readings say more',
      coefficients: Object.entries(DOUBT).map(([name, value]) => ({
        name: `${name.charAt(0).toUpperCase()}${name.slice(1)}`,
        value,
        kind: 'ratio',
        origin: 'estimate',
      })),
    },
  ];
}
