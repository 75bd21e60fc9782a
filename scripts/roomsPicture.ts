import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';

/** The rooms of core in their order, and what each holds. */
export const ROOMS = (
  JSON.parse(readFileSync('scripts/rooms.json', 'utf8')) as {
    readonly rooms: readonly { readonly name: string; readonly holds: string }[];
  }
).rooms;

/** How many files of one room import from another, by "from to". */
type Doors = ReadonlyMap<string, number>;

const ROW = 25;
const LEFT = 372;
const TOP = 118;
/** A few imports, some, or many: finer than that the picture would change with every file. */
const radius = (imports: number): number => (imports < 5 ? 3 : imports < 15 ? 5.5 : 8.5);

const isOurs = (name: string) => name.endsWith('.ts') && !/(\.test|Fixture)\.ts$/.test(name);
const roomOf = (path: string): string => {
  const [, first = '', second] = path.split('/');
  return second === undefined ? 'work' : first;
};

/** Every import of core that goes from one room to another, counted. */
export function doorsOf(root = 'core'): Doors {
  const doors = new Map<string, number>();
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(isOurs);
  for (const file of files.map((name) => join(root, name))) {
    for (const [, spec = ''] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
      const [from, to] = [roomOf(file), roomOf(normalize(join(dirname(file), spec)))];
      if (from !== to) doors.set(`${from} ${to}`, (doors.get(`${from} ${to}`) ?? 0) + 1);
    }
  }
  return doors;
}

/**
 * The rooms of core as one picture: a row for each, in the order of the craft, and a dot for each room before it whose
 * door it uses, the larger the more it does. Nothing stands to the right of the stair: no room uses one after it.
 */
export function roomsPicture(doors: Doors): string {
  const rooms = ROOMS;
  const width = LEFT + rooms.length * ROW + 64;
  const height = TOP + rooms.length * ROW + 16;
  const parts = rooms.flatMap(({ name, holds }, row) => {
    const y = TOP + row * ROW;
    const dots = rooms.map(({ name: to }, column) => {
      const count = doors.get(`${name} ${to}`) ?? 0;
      const cx = LEFT + (column + 0.5) * ROW;
      const cy = y + ROW / 2;
      if (column === row) return `<rect x="${cx - 4}" y="${cy - 4}" width="8" height="8" fill="#0a5963"/>`;
      return count === 0
        ? ''
        : `<circle cx="${cx}" cy="${cy}" r="${radius(count)}" fill="#0a5963" fill-opacity="0.55"><title>${name} uses ${to}</title></circle>`;
    });
    return [
      `<path d="M16 ${y + ROW}H${LEFT + (row + 1) * ROW}" stroke="#d9d4c5"/>`,
      `<text x="16" y="${y + 17}" font-weight="600">${name}</text>`,
      `<text x="132" y="${y + 17}" fill="#5b5a52" font-size="13">${holds}</text>`,
      `<text transform="translate(${LEFT + (row + 0.5) * ROW + 4} ${TOP - 8}) rotate(-60)" font-size="13">${name}</text>`,
      ...dots.filter((dot) => dot !== ''),
    ];
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="Fira Sans Condensed, Arial Narrow, sans-serif" font-size="15" fill="#22261f">`,
    `<rect width="${width}" height="${height}" fill="#f4f1e8"/>`,
    ...parts,
    '</svg>',
    '',
  ].join('\n');
}
