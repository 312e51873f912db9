import { z } from 'zod';
import { VERSION } from '../design/schema';
import { fileSchema } from './file-schema';

/**
 * A shop's file as JSON Schema (draft 2020-12), made from the schema the program itself reads by.
 * What no schema can say is checked besides when a file is read: that a curve's flow rises, and that the
 * ducts are a tree that ends at the collector.
 */
export const shopJsonSchema = (): Record<string, unknown> => ({
  ...z.toJSONSchema(fileSchema, { io: 'input' }),
  title: `Frank Gauge shop, version ${VERSION}`,
  description:
    'Everything in SI: m, m³/s, m/s, Pa, kg, kg/m³, K, W, A, V, rad, s; times as ISO 8601 with their offset. Besides what this schema says, a fan curve’s flow rises from point to point, and the runs form a tree whose every run leads to the node of kind inlet.',
});
