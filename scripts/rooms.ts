// npm run rooms: draws the rooms of core from what imports what.
import { writeFileSync } from 'node:fs';
import { doorsOf, roomsPicture } from './roomsPicture.ts';

writeFileSync('docs/rooms.svg', roomsPicture(doorsOf()));
