import { BOX_CLEARANCE } from '../assembly/assembly-conflicts';
import { CHIP_DENSITY, LIFT_BY_ONE, TEAM_SHARES } from '../assembly/assembly-masses';
import { SHAKE, SHEAR_OF_QUARTER_INCH, STUD_GRAVITY } from '../assembly/bracket';
import { THINNEST_WALL, USUAL_CLEARANCE, USUAL_TAPER } from '../build/adapter';
import { BAND_SPARE } from '../build/band-chain';
import { MOST_TURNS, PUSH, SNUG, STRETCH, THICKEST_GASKET } from '../build/fit';
import { USUAL_WALL } from '../build/joints-of-shop';
import { SLOT_ARC, SLOT_WIDTH } from '../collector/baffle';
import { INLET_SPEEDS } from '../collector/cyclone-design';
import {
  BOX_LININGS,
  BOX_WALLS,
  MOTOR_EFFICIENCY,
  WALL_TRANSMITTANCE,
} from '../collector/enclosure';
import { PLUGS, TRIPS, USUAL_START_RATIO } from '../collector/plug';
import {
  CHURNED_SHARE,
  NOISE_UNCERTAINTY,
  SPECIFIC_SOUND_POWER,
  THROUGH_PARTITION,
} from '../noise/blower-noise';
import { EXCHANGE, FULL_SHIFT, RECOMMENDED_LEVEL } from '../noise/daily-dose';
import { type CoefficientGroup, FROM_MEMORY, plain } from '../quantity/coefficient';

/** How a collector stands, what joins it, what it is plugged into, and how loud it is. */
export const assemblyAndNoise = (): CoefficientGroup[] => [
  {
    title: 'Plugs and starts',
    about:
      'rated current; a US cord and plug carries 80 % of it for hours; what a breaker lets pass at a start, × its rating',
    source: `NEMA WD 6, BS 1363, CEE 7, IEC 60309, NEC 210.23; IEC 60898 B, C, D (${FROM_MEMORY}); starting current a modeling default`,
    coefficients: [
      ...Object.values(PLUGS).flatMap(({ name, rating }) =>
        rating === null
          ? []
          : [{ name, value: rating, kind: 'current' as const, origin: 'standard' as const }],
      ),
      ...Object.values(TRIPS).map(({ name, least }) =>
        plain(`Breaker, ${name}`, least, name === 'not known' ? 'estimate' : 'standard'),
      ),
      plain('Start, × full load', USUAL_START_RATIO, 'estimate'),
    ],
  },
  {
    title: 'Lifting and hanging',
    about:
      'what one person lifts; lag screws in softwood studs, 1800·G^1.5·D^0.75 lb for each inch of thread; shaking counted twice',
    source: `revised NIOSH lifting equation, 1991; HSE L23 on team lifting; NDS withdrawal (${FROM_MEMORY}); others modeling defaults`,
    coefficients: [
      {
        name: 'One person, close to the body',
        value: LIFT_BY_ONE,
        kind: 'mass',
        origin: 'standard',
      },
      { name: 'Two people, of the sum', value: TEAM_SHARES[1], kind: 'ratio', origin: 'standard' },
      {
        name: 'Three or more, of the sum',
        value: TEAM_SHARES[2],
        kind: 'ratio',
        origin: 'standard',
      },
      plain('Specific gravity of a stud', STUD_GRAVITY, 'standard'),
      plain('A ¼-in. lag screw across its thread, N', SHEAR_OF_QUARTER_INCH, 'estimate'),
      plain('A running blower’s weight counts', SHAKE, 'practice'),
      { name: 'Chips in a bin', value: CHIP_DENSITY, kind: 'density', origin: 'estimate' },
    ],
  },
  {
    title: 'Slotted baffle and cyclone, to build',
    about: 'the slot at the drum’s wall; speeds in a cyclone’s inlet between which it works well',
    source: 'common practice, no source',
    coefficients: [
      { name: 'Slot, arc', value: SLOT_ARC, kind: 'angle', origin: 'practice' },
      { name: 'Slot, wide', value: SLOT_WIDTH, kind: 'diameter', origin: 'practice' },
      ...(['least', 'best', 'most'] as const).map((which) => ({
        name: `Cyclone’s inlet, ${which}`,
        value: INLET_SPEEDS[which],
        kind: 'velocity' as const,
        origin: 'practice' as const,
      })),
    ],
  },
  {
    title: 'Joints',
    about: 'how far ends go into each other, and what closes what is left',
    source: 'common practice, no source; walls of ports a modeling default, until measured',
    coefficients: [
      {
        name: 'Wall of a port or spigot',
        value: USUAL_WALL,
        kind: 'thickness',
        origin: 'estimate',
      },
      { name: 'Rigid ends push in by', value: PUSH, kind: 'thickness', origin: 'practice' },
      { name: 'Hose stretches by', value: STRETCH, kind: 'ratio', origin: 'practice' },
      { name: 'Holds as it is up to a gap of', value: SNUG, kind: 'thickness', origin: 'practice' },
      plain('Turns of tape, at most', MOST_TURNS, 'practice'),
      {
        name: 'Soft strip, at most',
        value: THICKEST_GASKET,
        kind: 'thickness',
        origin: 'practice',
      },
      { name: 'Band clamps have over', value: BAND_SPARE, kind: 'diameter', origin: 'practice' },
      {
        name: 'Printed wall, at least',
        value: THINNEST_WALL,
        kind: 'thickness',
        origin: 'practice',
      },
      { name: 'Printed clearance', value: USUAL_CLEARANCE, kind: 'thickness', origin: 'practice' },
      { name: 'Printed taper, each side', value: USUAL_TAPER, kind: 'angle', origin: 'practice' },
    ],
  },
  {
    title: 'Noise by the day',
    about: 'T = 8/2^((L − 85)/3) hours; a day’s dose is the sum of shares',
    source: `NIOSH 98-126, 1998 (${FROM_MEMORY})`,
    coefficients: [
      { name: 'Level for a full day', value: RECOMMENDED_LEVEL, kind: 'sound', origin: 'standard' },
      plain('Full day, h', FULL_SHIFT, 'standard'),
      plain('Half the time for each, dB', EXCHANGE, 'standard'),
    ],
  },
  {
    title: 'Noise of a blower',
    about:
      'sound power Kw + 10·log(CFM) + 20·log(in. w.g.); at a distance less 10·log(2πr²), as in the open',
    source:
      'modeling defaults, until a meter’s reading at a known distance; partition common practice',
    coefficients: [
      plain('Kw, A-weighted, dB', SPECIFIC_SOUND_POWER, 'estimate'),
      plain('May be off by, dB', NOISE_UNCERTAINTY, 'estimate'),
      {
        name: 'Flow counted when choked, of its best',
        value: CHURNED_SHARE,
        kind: 'ratio',
        origin: 'estimate',
      },
      plain('Another room or the attic keeps back, dB', THROUGH_PARTITION, 'practice'),
    ],
  },
  {
    title: 'Enclosures',
    about: 'walls keep back 20·log(m·500 Hz) − 47 dB; air in them warms by P/(ρ·c·Q + U·A)',
    source: `mass law, standard acoustics texts (${FROM_MEMORY}); others modeling defaults`,
    coefficients: [
      ...Object.values(BOX_WALLS).map(({ name, surfaceMass }) => ({
        name,
        value: surfaceMass,
        kind: 'surfaceMass' as const,
        origin: 'estimate' as const,
      })),
      ...Object.values(BOX_LININGS).map(({ name, absorption }) => ({
        name: `Sound taken, ${name}`,
        value: absorption,
        kind: 'ratio' as const,
        origin: 'estimate' as const,
      })),
      plain('Wall lets through, W/(m²·K)', WALL_TRANSMITTANCE, 'estimate'),
      { name: 'Motor’s efficiency', value: MOTOR_EFFICIENCY, kind: 'ratio', origin: 'estimate' },
      { name: 'Air kept around', value: BOX_CLEARANCE, kind: 'diameter', origin: 'practice' },
    ],
  },
];
