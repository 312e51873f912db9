import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { faultsOf, MOST_FAULTS } from './fault';

const messageOf = (schema: z.ZodType, value: unknown) => {
  const checked = schema.safeParse(value);
  if (checked.success) throw new Error('nothing is wrong with it');
  return faultsOf(checked.error)[0]?.message;
};

describe('a fault', () => {
  it.each([
    [z.number().max(50), 51, '50 is the most'],
    [z.number().min(0.1), 0, '0.1 is the least'],
    [z.number().positive(), 0, 'it has to be more than 0'],
    [z.number().lt(3), 3, 'it has to be less than 3'],
    [z.string().max(5), 'too long', '5 letters are the most'],
    [z.string().min(2), 'a', '2 letters are the least'],
    [z.string().min(1), '', 'it is empty'],
    [z.array(z.number()).max(2), [1, 2, 3], '2 of them are the most'],
    [z.array(z.number()).min(2), [1], '2 of them are the least'],
    [z.array(z.number()).min(1), [], 'the list is empty'],
    [z.array(z.number()).min(2, 'A curve has two points'), [], 'a curve has two points'],
    [z.strictObject({}), { stray: 1 }, '“stray” has no meaning here'],
    [z.enum(['us', 'metric']), 'feet', 'it has to be one of “us”, “metric”'],
    [z.literal(6), 5, 'it has to be “6”'],
    [z.object({ name: z.string() }), {}, 'it is missing'],
    [z.number(), 'three', 'invalid input: expected number, received string'],
  ] as const)('is said in words', (schema, value, message) => {
    expect(messageOf(schema, value)).toBe(message);
  });

  it('names its place under what was checked; of hundreds, the first are listed', () => {
    const checked = z.array(z.number()).safeParse(Array(300).fill('x'));
    if (checked.success) throw new Error('nothing is wrong with it');
    const faults = faultsOf(checked.error, ['journal', 'readings']);
    expect(faults).toHaveLength(MOST_FAULTS);
    expect(faults[1]?.path).toBe('journal.readings.1');
  });
});
