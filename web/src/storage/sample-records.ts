import { newShop } from '@frank-gauge/core/design';
import {
  emptyJournal,
  type Journal,
  type Reading,
  recordWith,
  type SoundReading,
} from '@frank-gauge/core/journal';

/** Small shops and records that the storage's own tests go by. */

const curve = [
  { flow: 0, pressure: 2000 },
  { flow: 0.5, pressure: 0 },
];

export const sampleShop = (id = 'one', name = 'One') => newShop(id, name, 'us', curve);

export const sampleReading = (id: string, minute = 0, testPoint = 'port'): Reading =>
  recordWith('readings', {
    id,
    at: new Date(Date.UTC(2026, 0, 1, 10, minute)).toISOString(),
    testPoint,
    instrument: 'meter',
    quantity: 'velocity',
    spot: 'average',
    diameter: 0.1,
    taken: [{ kind: 'value', value: 20 }],
    unit: 'fpm',
    openGates: ['a', 'b'],
    note: '',
  });

export const sampleSound = (id: string, level = 80): SoundReading => ({
  id,
  at: '2026-01-01T10:00:00Z',
  place: 'Bench',
  level,
  distance: null,
  expected: null,
  hours: null,
  isSimulated: false,
  note: '',
});

export const sampleJournal = (readings: number): Journal => ({
  ...emptyJournal(),
  instruments: [
    recordWith('instruments', { id: 'meter', name: 'Meter', kind: 'vane', accuracy: 0.03 }),
  ],
  testPoints: [
    recordWith('testPoints', {
      id: 'port',
      name: 'Saw',
      at: { kind: 'port', node: 'port' },
      insideDiameter: 0.1,
    }),
  ],
  readings: Array.from({ length: readings }, (_, i) => sampleReading(`r${i}`, i)),
  sounds: [sampleSound('s1')],
  photos: [
    {
      id: 'p1',
      at: '2026-01-01T10:00:00Z',
      of: null,
      file: 'saw.jpg',
      type: 'image/jpeg',
      note: '',
    },
  ],
});
