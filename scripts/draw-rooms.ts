// npm run docs:rooms: draws the rooms in docs/architecture.md from the imports as they are.
import { readFileSync, writeFileSync } from 'node:fs';
import { withRooms } from './rooms';

const DOCUMENT = new URL('../docs/architecture.md', import.meta.url);
writeFileSync(DOCUMENT, withRooms(readFileSync(DOCUMENT, 'utf8')));
