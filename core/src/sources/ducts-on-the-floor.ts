import { MACHINE_KINDS } from '../design/machine-kinds';
import { type CoefficientGroup, FROM_MEMORY, plain } from '../quantity/coefficient';
import { BEFORE_INLET, GAP } from '../room/free-place';
import { USUAL_BEND } from '../routing/bend-geometry';
import { ALIKE, THROUGH } from '../routing/derive-runs';
import { BESIDE_WALL, FLOOR_DUCT, HEAD_HEIGHT, INLET_STRAIGHT } from '../routing/layout-limits';
import { USUAL_SLACK } from '../routing/route-duct';
import { GATE_HEIGHT, HOSE_REACH, UNDER_CEILING } from '../routing/usual-route';
import { PIPE_AT_WYE, WYE_REACH } from '../routing/wye-reach';

/** How ducts are routed on the floor when nobody says otherwise, and where it warns of them. */
export const ductsOnTheFloor = (): CoefficientGroup[] => [
  {
    title: 'Ducts as they are drawn',
    about:
      'what a new duct is made of, and where the drawing warns; a leg that meets the next within 15° goes straight through a junction',
    source: `common practice, no source; straight duct ahead of the inlet: AMCA 201 (${FROM_MEMORY})`,
    coefficients: [
      plain('Radius of a new bend, in diameters', USUAL_BEND.radiusRatio, 'practice'),
      {
        name: 'Straight through a junction, up to',
        value: THROUGH,
        kind: 'angle',
        origin: 'estimate',
      },
      {
        name: 'Legs of a symmetric Y, alike within',
        value: ALIKE,
        kind: 'angle',
        origin: 'estimate',
      },
      {
        name: 'A hose, longer than its straight line by',
        value: USUAL_SLACK,
        kind: 'ratio',
        origin: 'practice',
      },
      {
        name: 'From a port to its riser',
        value: HOSE_REACH.metric,
        kind: 'diameter',
        origin: 'practice',
      },
      {
        name: 'A gate, over the floor',
        value: GATE_HEIGHT.metric,
        kind: 'diameter',
        origin: 'practice',
      },
      {
        name: 'Ducts, under the ceiling',
        value: UNDER_CEILING,
        kind: 'diameter',
        origin: 'practice',
      },
      plain('Turn into a wye, in diameters beside the main, least', WYE_REACH, 'practice'),
      {
        name: 'Pipe between a wye and the elbow before it, least',
        value: PIPE_AT_WYE,
        kind: 'diameter',
        origin: 'estimate',
      },
      plain('Straight duct ahead of the inlet, in diameters', INLET_STRAIGHT, 'standard'),
      { name: 'Clears a head', value: HEAD_HEIGHT, kind: 'diameter', origin: 'practice' },
      { name: 'Lies on the floor, up to', value: FLOOR_DUCT, kind: 'diameter', origin: 'practice' },
      {
        name: 'Nobody walks, from a wall',
        value: BESIDE_WALL,
        kind: 'diameter',
        origin: 'practice',
      },
    ],
  },
  {
    title: 'Where things are put',
    about: 'what is kept clear about a machine or a collector that nobody has placed yet',
    source: 'common practice, no source',
    coefficients: [
      { name: 'About what stands', value: GAP, kind: 'diameter', origin: 'practice' },
      {
        name: 'Ahead of the collector’s inlet',
        value: BEFORE_INLET,
        kind: 'diameter',
        origin: 'practice',
      },
    ],
  },
  {
    title: 'Machines, how high',
    about: 'how high a machine of its kind is drawn; nothing is worked out from it',
    source: 'common practice, no source',
    coefficients: Object.values(MACHINE_KINDS).map(({ name, height }) => ({
      name: `${name}, its height`,
      value: height,
      kind: 'diameter' as const,
      origin: 'practice' as const,
    })),
  },
  {
    title: 'Ports, over the floor',
    about: 'where a machine of its kind usually has its port, until it is measured',
    source: 'common practice, no source',
    coefficients: Object.values(MACHINE_KINDS).map(({ name, portHeight }) => ({
      name: `${name}, its port`,
      value: portHeight,
      kind: 'diameter' as const,
      origin: 'practice' as const,
    })),
  },
];
