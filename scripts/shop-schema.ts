// npm run docs:schema: writes docs/shop.schema.json from the schema the program reads by.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { shopJsonSchema } from '@frank-gauge/core/journal';

const file = fileURLToPath(new URL('../docs/shop.schema.json', import.meta.url));
writeFileSync(file, `${JSON.stringify(shopJsonSchema(), null, 2)}\n`);
