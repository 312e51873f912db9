import { isJson, type Json } from '../document/json-walk';
import { migrateRecord } from '../journal/journal';
import type { Migration } from './migration';

/**
 * What was logged becomes records of a journal apart from the design. Each port that was read becomes a
 * test point, under its node's id and the name it had last.
 */
export const fromVersion4: Migration = {
  from: 4,
  what: 'The log is a journal of records apart from the design; readings are taken at test points.',
  migrate: ({ log, ...design }) => ({ ...design, journal: isJson(log) ? journalOf(log) : log }),
};

function journalOf({ readings, curveTests, ...lists }: Json): Json {
  const isList = Array.isArray(readings);
  return {
    ...lists,
    testPoints: isList ? pointsOf(readings.filter(isJson)) : [],
    readings: isList
      ? readings.map((one) => (isJson(one) ? migrateRecord('readings', one, 4, 5) : one))
      : readings,
    fieldTests: curveTests,
  };
}

function pointsOf(readings: readonly Json[]): Json[] {
  const points = new Map<unknown, Json>();
  for (const { node, place } of readings) {
    const name = typeof place === 'string' && place !== '' ? place : 'A drop';
    points.set(node, { id: node, name, at: { kind: 'port', node } });
  }
  return [...points.values()];
}
