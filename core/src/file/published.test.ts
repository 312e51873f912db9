import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { VERSION } from '../design/schema';
import { RECORD_KINDS, RECORD_TYPES } from '../journal/journal';

/**
 * Steps from a version to the next, and the files kept of each, as they were published. Documents out
 * there were read by them: what is wrong with one is mended by a further version, never here.
 */
const PUBLISHED: Readonly<Record<string, string>> = {
  'from-version-1.ts': '47c88f4a306b55e4',
  'from-version-2.ts': 'eae3b004f9fb9d42',
  'from-version-3.ts': '409abe942007c126',
  'from-version-4.ts': 'd3d64eda39bb0c97',
  'from-version-5.ts': '269980780e70427e',
  'from-version-6.ts': 'f6bc485670964bba',
  'from-version-7.ts': '24b215e5c8615a91',
  'from-version-8.ts': '4cdf3b932e45b0d1',
  'from-version-9.ts': 'eb2298ce2724ce0e',
  'from-version-10.ts': 'b99098a99f717e67',
  'from-version-11.ts': '193779c754f668ef',
  'from-version-12.ts': '3d67eee8c8219cce',
  'from-version-13.ts': '54ab13b5c8b8f47f',
  'from-version-14.ts': 'cc0d8718e33a5dca',
  'from-version-15.ts': '6e1a4a21f17cae87',
  'from-version-16.ts': 'a2639f5785d85039',
  'kept/version-1.json': '4cd1951363b77b2d',
  'kept/version-2.json': '65e5dd8074dfe31a',
  'kept/version-3.json': 'a4c3880ea4123f84',
  'kept/version-4.json': '9bf7a78475760a7b',
  'kept/version-5.json': 'b2ac0f60df8df691',
  'kept/version-6.json': '61c1961a5f4d3159',
  'kept/version-7.json': 'f799a26918197d47',
  'kept/version-8.json': '8f653f93c58b6313',
  'kept/version-9.json': '5a2e7ad530f15a99',
  'kept/version-10.json': '1c5e9d293b62bd27',
  'kept/version-11.json': '3a60a2322d714121',
  'kept/version-12.json': 'ca16d7ca4ae3fea1',
  'kept/version-13.json': '3dbd71ebf8d5e2cb',
  'kept/version-14.json': '8538bb705268d42a',
  'kept/version-15.json': '684d1b5428d83244',
  'kept/version-16.json': '5af0802379b60a32',
  'kept/version-17.json': '5812c996e0a5d046',
};

const here = new URL('.', import.meta.url);
const steps = readdirSync(here).filter((name) => /^from-version-\d+\.ts$/.test(name));
const kept = readdirSync(new URL('kept/', here)).map((name) => `kept/${name}`);

/** Steps of single records stand with their schemas. */
const PUBLISHED_OF_RECORDS: Readonly<Record<string, string>> = {
  'readings 4': '95343992dcccada1',
  'fieldTests 7': '3d0cfaca1130b60e',
  'sounds 7': '311bea522e1215d1',
};

/** Of what it does: how it is set out, and where its imports lie, may change. */
const hashOfText = (text: string) =>
  createHash('sha256')
    .update(text.replace(/^import .*$/gm, '').replace(/\s+/g, ' '))
    .digest('hex')
    .slice(0, 16);
const hashOf = (name: string) => hashOfText(readFileSync(new URL(name, here), 'utf8'));

describe('what is published', () => {
  it.each([...steps, ...kept])('%s is as it was', (name) => {
    expect(hashOf(name)).toBe(PUBLISHED[name]);
  });

  it('every step of a record is as it was', () => {
    const found = RECORD_KINDS.flatMap((kind) =>
      Object.entries(RECORD_TYPES[kind].migrations).map(([from, step]) => [
        `${kind} ${from}`,
        hashOfText(step.toString()),
      ]),
    );
    expect(Object.fromEntries(found)).toEqual(PUBLISHED_OF_RECORDS);
  });

  it('is a step from every version before the present, and a kept file of each', () => {
    const versions = Array.from({ length: VERSION }, (_, i) => i + 1);
    expect(kept.sort()).toEqual(versions.map((version) => `kept/version-${version}.json`).sort());
    expect(steps.sort()).toEqual(
      versions
        .slice(0, -1)
        .map((version) => `from-version-${version}.ts`)
        .sort(),
    );
  });
});
