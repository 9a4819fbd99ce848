/** Arrows point down only: app → ui → storage, stock → core; in the core review → survey → plan → units. */
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$|\\.testing\\.ts$' },
  to: { path: '^(src|cli|e2e|bench)/', pathNot: allowed },
})

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-is-pure',
      comment:
        'The core knows no interface, storage or server: of packages only the schema library, the CSV parser, the calendar writer and the random numbers.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$|\\.testing\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'npm-optional', 'npm-peer', 'core', 'npm-no-pkg', 'unknown'],
        pathNot: 'node_modules/(zod|papaparse|@types/papaparse|pure-rand|ics)/',
      },
    },
    only('units-stand-alone', '^src/core/units/', '^src/core/units/', 'Units know nothing above them.'),
    only('rules-on-units', '^src/core/rules/', '^src/core/(rules|units)/', 'House rules are data.'),
    only(
      'plan-on-units',
      '^src/core/plan/',
      '^src/core/(plan|rules|units)/',
      'What a person decided knows nothing derived.',
    ),
    only(
      'survey-on-plan',
      '^src/core/survey/',
      '^src/core/(survey|plan|rules|units)/',
      'What follows knows no opinion.',
    ),
    only(
      'review-on-survey',
      '^src/core/review/',
      '^src/core/(review|survey|plan|rules|units)/',
      'Opinion knows no format and no screen.',
    ),
    only('core-on-core', '^src/core/', '^src/core/', 'The core knows nothing outside itself.'),
    only('stock-on-core', '^src/stock/', '^src/(stock|core)/', 'Stock is data.'),
    only(
      'storage-on-core',
      '^src/storage/',
      '^src/(storage|core)/',
      'Storage keeps plans and knows no screen.',
    ),
    only('ui-below-app', '^src/ui/', '^src/(ui|workers|storage|stock|core)/', 'Screens know no route.'),
    only('workers-on-core', '^src/workers/', '^src/(workers|core)/', 'Workers pass messages on to the core.'),
    only('app-on-top', '^src/app/', '^src/(app|ui|stock|core)/', 'Routes are thin.'),
    only('cli-on-core', '^cli/', '^(cli|src/core|src/stock)/', 'The shell uses the same core.'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}
