import type { UnitSystem } from '@frank-gauge/core/quantity';
import type { DuctConflict, WhyNoRoute } from '@frank-gauge/core/routing';
import { tapeLength } from './tape-length';

export interface DuctMessage {
  readonly title: string;
  readonly text: string;
  /** Something to know rather than something wrong. */
  readonly isNote: boolean;
}

interface Names {
  readonly run: (id: string) => string;
  readonly machine: (id: string) => string;
}

const degrees = (angle: number) => `${Math.round((angle * 180) / Math.PI)}°`;

/** What is wrong with where a duct lies, in sentences. */
export function ductMessage(conflict: DuctConflict, system: UnitSystem, names: Names): DuctMessage {
  const write = (value: number) => tapeLength(value, system);
  if (conflict.kind === 'port without a duct') {
    return {
      title: `${names.machine(conflict.machine)} has no duct.`,
      text: 'Lead one from its port, or draw it.',
      isNote: true,
    };
  }
  const run = names.run(conflict.run);
  const wrong = (title: string, text: string, isNote = false): DuctMessage => ({
    title,
    text,
    isNote,
  });
  switch (conflict.kind) {
    case 'no length':
      return wrong(`${run} has no length.`, 'Its ends are on one spot: move one of them.');
    case 'one spot':
      return wrong(`${run} has two points on one spot.`, 'Move one of them, or take it out.');
    case 'no room to bend':
      return wrong(
        `${run} has no room for its elbows.`,
        `They want ${write(conflict.short)} more of straight duct between them. Move a bend, or make it tighter.`,
      );
    case 'against the flow':
      return wrong(
        `${run} joins against the flow.`,
        `It turns by ${degrees(conflict.angle)} into what it joins. Turn its wye around, so that it leans with the flow.`,
      );
    case 'elbow at the collector':
      return wrong(
        `${run} turns right at the collector.`,
        `Between its last elbow and the inlet are ${write(conflict.straight)} straight; ${write(conflict.wanted)} are wanted.`,
      );
    case 'long hose':
      return wrong(
        `The hose of ${run} is long.`,
        `${write(conflict.length)}; over ${write(conflict.limit)} a hose takes more than all else. Bring the pipe nearer to the port.`,
        true,
      );
    case 'wider than what follows':
      return wrong(
        `${run} is wider than what follows it.`,
        `By ${write(conflict.by)}: chips jam where a duct narrows toward the blower. Widen what follows, or narrow this.`,
      );
    case 'through a post':
      return wrong(`${run} goes through a post.`, 'Lead it around, or past it.');
    case 'through a wall':
      return wrong(
        `${run} goes through a wall.`,
        'Count the hole in. What it may pass, and how it is sealed against fire, your local code says.',
        true,
      );
    case 'through the collector':
      return wrong(`${run} goes through the collector.`, 'Lead it around, or over it.');
    case 'above the ceiling':
      return wrong(
        `${run} goes through the ceiling.`,
        `Its top is ${write(conflict.short)} too high.`,
      );
    case 'into the floor':
      return wrong(`${run} goes into the floor.`, `It lies ${write(conflict.short)} too deep.`);
    case 'below head height':
      return wrong(
        `${run} hangs where heads are.`,
        `Its underside is at ${write(conflict.height)}, over free floor; ${write(conflict.wanted)} clear a head.`,
        true,
      );
  }
}

const WHY: Record<WhyNoRoute, string> = {
  'no way to the blower':
    'A duct needs one end that brings air, a port or an open end, and one that leads it to the blower: a duct or the collector.',
  'port has its duct': 'This port has its duct already.',
  'into itself': 'A duct cannot join itself, or what leads into it.',
  'no length': 'Both ends are on one spot: a duct needs some length.',
  'not placed': 'One of its ends has no place yet. Place the machine and the collector first.',
};

/** Why a duct could not be routed so. */
export const whyNoRoute = (why: WhyNoRoute): string => WHY[why];
