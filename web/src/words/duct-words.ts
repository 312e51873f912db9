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
      text: 'Route one from its port, or draw it.',
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
      return wrong(
        `${run} has no length.`,
        'Its two ends are at the same point: move one of them.',
      );
    case 'one spot':
      return wrong(`${run} has two points in the same place.`, 'Move one of them, or remove it.');
    case 'no room to bend':
      return wrong(
        `${run} has no room for its elbows.`,
        `They need ${write(conflict.short)} more straight duct between them. Move a bend, or use a tighter elbow.`,
      );
    case 'against the flow':
      return wrong(
        `${run} joins against the flow.`,
        `It turns ${degrees(conflict.angle)} into the duct it joins. Reverse the wye so that it points with the flow.`,
      );
    case 'elbow at the collector':
      return wrong(
        `${run} has an elbow right at the collector.`,
        `There is ${write(conflict.straight)} of straight duct between its last elbow and the inlet; ${write(conflict.wanted)} is recommended.`,
      );
    case 'long hose':
      return wrong(
        `The hose of ${run} is too long.`,
        `It is ${write(conflict.length)} long; beyond ${write(conflict.limit)} a hose usually causes the largest pressure drop. Bring the pipe closer to the port.`,
        true,
      );
    case 'wider than what follows':
      return wrong(
        `${run} is wider than the next run.`,
        `It is ${write(conflict.by)} wider, and chips jam where a duct narrows toward the blower. Widen the next run, or narrow this one.`,
      );
    case 'through a post':
      return wrong(`${run} passes through a post.`, 'Route it around the post.');
    case 'through a wall':
      return wrong(
        `${run} passes through a wall.`,
        'Plan for the opening. Your local code says what it may pass through and how to firestop it.',
        true,
      );
    case 'through the collector':
      return wrong(`${run} passes through the collector.`, 'Route it around or above it.');
    case 'above the ceiling':
      return wrong(
        `${run} passes through the ceiling.`,
        `Its top is ${write(conflict.short)} too high.`,
      );
    case 'into the floor':
      return wrong(`${run} passes into the floor.`, `It is ${write(conflict.short)} too low.`);
    case 'below head height':
      return wrong(
        `${run} is below head height.`,
        `Its underside is ${write(conflict.height)} above open floor; ${write(conflict.wanted)} clears a person’s head.`,
        true,
      );
  }
}

const WHY: Record<WhyNoRoute, string> = {
  'no way to the blower':
    'A duct needs one end that takes in air (a port or an open end) and one that leads to the blower (a duct or the collector).',
  'port has its duct': 'This port already has a duct.',
  'into itself': 'A duct cannot join itself or a duct upstream of it.',
  'no length': 'Both ends are at the same point: a duct needs some length.',
  'not placed': 'One of its ends is not placed yet. Place the machine and the collector first.',
};

/** Why a duct could not be routed so. */
export const whyNoRoute = (why: WhyNoRoute): string => WHY[why];
