import { boxQuieting } from '../collector/enclosure';
import type { CollectorParts } from '../design/edit-candidates';
import type { SoundReading } from '../journal/sound';
import {
  blowerSoundPower,
  levelAt,
  levelMoved,
  NOISE_DISTANCE,
  THROUGH_PARTITION,
} from '../noise/blower-noise';

/** What stands between a blower and the ears, dB: a partition, or a box. */
function quieting({ assembly, exhaust }: Pick<CollectorParts, 'assembly' | 'exhaust'>): number {
  const { kind } = assembly.mount;
  const byPlace = kind === 'attic' || kind === 'nextRoom' ? THROUGH_PARTITION : 0;
  const box = exhaust.kind === 'enclosure' ? exhaust.box : null;
  const opening = exhaust.kind === 'enclosure' ? exhaust.returnFilter.area : 0;
  return byPlace + (box ? boxQuieting(box, opening) : 0);
}

/** What a blower moves against what pressure, and the flow at which it makes most air power. SI. */
export interface BlowerAtWork {
  readonly flow: number;
  readonly pressure: number;
  readonly bestFlow: number;
}

/** A collector's level at `NOISE_DISTANCE`, dB(A), by its work and what stands around it. */
export const estimatedLevel = (
  parts: Pick<CollectorParts, 'assembly' | 'exhaust'>,
  { flow, pressure, bestFlow }: BlowerAtWork,
): number => levelAt(blowerSoundPower(flow, pressure, bestFlow), NOISE_DISTANCE) - quieting(parts);

/** The latest reading that says how far from the collector it was taken; null: none does. */
export const latestAtDistance = (sounds: readonly SoundReading[]): SoundReading | null =>
  sounds.reduce<SoundReading | null>(
    (latest, sound) =>
      sound.distance !== null && (!latest || sound.at > latest.at) ? sound : latest,
    null,
  );

/**
 * How much louder the collector was found than computed, dB, by the latest reading at a known distance;
 * carried over to whatever stands there since, and to the others. Each reading is held against what was
 * computed when it was taken: a box built later is no error of the estimate. 0 where nothing was read.
 */
export function foundLouder(sounds: readonly SoundReading[]): number {
  const sound = latestAtDistance(sounds.filter(({ expected }) => expected !== null));
  if (!sound || sound.distance === null || sound.expected === null) return 0;
  return levelMoved(sound.level, sound.distance, NOISE_DISTANCE) - sound.expected;
}
