import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { shopJsonSchema } from '@frank-gauge/core/journal';
import { describe, expect, it } from 'vitest';

const kept = JSON.parse(
  readFileSync(fileURLToPath(new URL('../docs/shop.schema.json', import.meta.url)), 'utf8'),
);

describe('docs/shop.schema.json', () => {
  it('is what npm run docs:schema writes', () => {
    expect(kept).toEqual(JSON.parse(JSON.stringify(shopJsonSchema())));
  });

  it('names the parts of a document and refuses others', () => {
    expect(kept.$schema).toBe('https://json-schema.org/draft/2020-12/schema');
    expect(kept.additionalProperties).toBe(false);
    expect(Object.keys(kept.properties)).toEqual(
      expect.arrayContaining(['format', 'version', 'machines', 'collector', 'ducts', 'condition']),
    );
    expect(kept.properties.format).toMatchObject({ const: 'frank-gauge' });
  });
});
