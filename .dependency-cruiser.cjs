/**
 * The rooms of core in the order of the craft: each may use those before it, none those after it. "work" is the files of
 * core itself: what is known of a whole cable, made of the rooms before it.
 */
const plan = require('./scripts/rooms.json');
const ROOMS = plan.rooms.map(({ name }) => name);
/** The rooms within a room, lowest first. */
const WITHIN = plan.within;
const isTest = '(\\.test|Fixture)\\.ts$';
const pathOf = (room) => (room === 'work' ? '^core/[^/]+$' : `^core/${room}/`);
const innerOf = (room, own) => (own === '' ? `^core/${room}/[^/]+$` : `^core/${room}/${own}/`);
/** A wall: what stands in one place imports nothing that stands after it. */
const wall = (name, path, after) => ({
  name,
  severity: 'error',
  from: { path, pathNot: isTest },
  to: { path: after },
});
const walls = (rooms, place, called) =>
  rooms.flatMap((room, i) => {
    const after = rooms.slice(i + 1).map(place);
    return after.length > 0
      ? [wall(`${called}${room || 'itself'}-is-under-what-follows`, place(room), after)]
      : [];
  });

/** The doors between the rooms: each rule is one wall. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment:
        'core is pure: it imports itself, Zod, the CSV parser of its file formats, and the arithmetic of days and matrices',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.test|Fixture)\\.ts$' },
      to: {
        pathNot: ['^core/', '^node_modules/(zod|papaparse|@types/papaparse|date-fns|ml-matrix|tinyqueue)/'],
      },
    },
    ...walls(ROOMS, pathOf, 'core-'),
    ...Object.entries(WITHIN).flatMap(([room, inner]) =>
      walls(inner, (own) => innerOf(room, own), `${room}-`),
    ),
    {
      name: 'every-room-of-core-has-its-place',
      comment: 'a new folder of core is named in ROOMS',
      severity: 'error',
      from: { path: '^core/[^/]+/', pathNot: [...ROOMS.map(pathOf), '^core/fixtures/'] },
      to: {},
    },
    {
      name: 'web-imports-core-and-demo',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|scripts|e2e)/' },
    },
    {
      name: 'server-imports-core',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|scripts|e2e|demo)/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: ['\\.d\\.m?ts$', '\\.test\\.ts$', '^scripts/(inSight|compileLess)\\.mjs$'],
      },
      to: {},
    },
    {
      name: 'resolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\.(css|woff2?)$|\\?url$|^virtual:' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.web.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.vue', '.mjs', '.js', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'module', 'types', 'default'],
    },
  },
};
