/** The doors between the rooms: each rule is one wall. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment:
        'core is pure: it imports itself, Zod, the CSV parser of its file formats, and the arithmetic of days',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.test|Fixture)\\.ts$' },
      to: { pathNot: ['^core/', '^node_modules/(zod|papaparse|@types/papaparse|date-fns)/'] },
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
      from: { orphan: true, pathNot: ['\\.d\\.ts$', '\\.test\\.ts$'] },
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
