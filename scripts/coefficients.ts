// npm run docs:coefficients: writes docs/coefficients.md from the tables the program uses.
import { writeFileSync } from 'node:fs';
import { coefficientsDocument } from '../core/src/sources/coefficients-document';

writeFileSync(new URL('../docs/coefficients.md', import.meta.url), coefficientsDocument());
