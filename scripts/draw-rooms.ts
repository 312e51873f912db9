// npm run docs:rooms: draws the rooms in docs/architecture.md from the imports as they are.
import { readFileSync, writeFileSync } from 'node:fs';
import { roomsOf, withRooms } from './rooms';

const DOCUMENT = new URL('../docs/architecture.md', import.meta.url);
const rooms = { core: roomsOf('core'), web: roomsOf('web') };
writeFileSync(DOCUMENT, withRooms(readFileSync(DOCUMENT, 'utf8'), rooms));
