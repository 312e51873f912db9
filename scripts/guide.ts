// npm run docs:guide: writes what each view is about into docs/guide.md, from where the views themselves take it.
import { readFileSync, writeFileSync } from 'node:fs';
import { guideWithViews } from './guide-views';

const path = new URL('../docs/guide.md', import.meta.url);
writeFileSync(path, guideWithViews(readFileSync(path, 'utf8')));
