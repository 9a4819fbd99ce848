/** Arrows point down only: app → ui → storage, workers, devices → core, and in the core from rules down to units. */
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$|\\.testing\\.ts$' },
  to: { path: '^(src|cli|e2e|bench|reading)/', pathNot: allowed },
})

/** The rooms of the core, each with the rooms under it that it may look into. */
const CORE = {
  units: '',
  geometry: 'units',
  kinds: 'geometry|units',
  'plan/schema': 'kinds|geometry|units',
  provenance: 'plan/schema|kinds|geometry|units',
  plan: 'provenance|kinds|geometry|units',
  history: 'plan|provenance|kinds|geometry|units',
  survey: 'plan|provenance|kinds|geometry|units',
  facts: 'survey|plan|provenance|kinds|geometry|units',
  chance: 'facts|survey|plan|provenance|kinds|geometry|units',
  edits: 'survey|plan|provenance|kinds|geometry|units',
  review: 'facts|edits|survey|plan|provenance|kinds|geometry|units',
  placing: 'review|facts|edits|survey|plan|provenance|kinds|geometry|units',
  remedies: 'review|facts|edits|survey|plan|provenance|kinds|geometry|units',
  log: 'plan|provenance|kinds|geometry|units',
  bay: 'log|review|facts|edits|survey|plan|provenance|kinds|geometry|units',
  handover: 'bay|log|review|facts|survey|plan|provenance|kinds|geometry|units',
  stages: 'bay|log|review|facts|survey|plan|provenance|kinds|geometry|units',
  fields: 'log|plan|provenance|kinds|geometry|units',
  reading: 'kinds|geometry|units',
  formats:
    'reading|fields|history|bay|log|placing|remedies|review|facts|survey|plan|provenance|kinds|geometry|units',
}

/** The rooms of the interface that screens share, each with those under it. */
const UI = {
  kit: '',
  state: '',
  figures: 'kit|state',
  drawing: 'figures|kit|state',
  forms: 'drawing|figures|kit|state',
  app: 'forms|drawing|figures|kit|state',
  job: 'app|forms|drawing|figures|kit|state',
}

const BELOW_UI = 'src/(workers|storage|devices|demo|drawing|core)'
const into = (room, under) => `(${[room, ...under.split('|')].filter(Boolean).join('|')})/`

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
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
    ...Object.entries(CORE).map(([room, under]) =>
      only(
        `core-${room}`,
        `^src/core/${room}/`,
        `^src/core/${into(room, under)}`,
        'In the core arrows point down.',
      ),
    ),
    only('core-on-core', '^src/core/', '^src/core/', 'The core knows nothing outside itself.'),
    {
      name: 'core-by-its-faces',
      comment:
        'The core is asked through its faces in src/core/api, one for each reader; schemas everywhere are written with src/core/units/schema.ts; fixtures of tests are beside what they test.',
      severity: 'error',
      from: { path: '^(src|cli|e2e|bench|scripts)/', pathNot: '^src/core/' },
      to: { path: '^src/core/', pathNot: '^src/core/(api/\\w+|units/schema)\\.ts$|\\.testing\\.ts$' },
    },
    {
      name: 'core-without-its-faces',
      comment: 'Inside, a file imports what it needs from where it is.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/api/' },
    },
    {
      name: 'fixtures-without-demo',
      comment: 'What the core’s tests are made of needs no demo.',
      severity: 'error',
      from: { path: '^src/core/.*\\.testing\\.ts$' },
      to: { path: '^src/demo/' },
    },
    only('demo-on-core', '^src/demo/', '^src/(demo|core)/', 'The demo is data.'),
    only('devices-on-core', '^src/devices/', '^src/(devices|core)/', 'Drivers know no screen.'),
    only(
      'storage-on-core',
      '^src/storage/',
      '^src/(storage|core)/',
      'Storage keeps plans and knows no screen.',
    ),
    only('drawing-on-core', '^src/drawing/', '^src/(drawing|core)/', 'Outlines follow from a survey alone.'),
    only(
      'workers-on-core',
      '^src/workers/',
      '^src/(workers|core|storage|drawing)/',
      'Workers pass messages on to the core; the worker of the board also reads what is stored and draws small pictures.',
    ),
    ...Object.entries(UI).map(([room, under]) =>
      only(
        `ui-${room}`,
        `^src/ui/${room}/`,
        `^(src/ui/(${into(room, under)}|routes\\.ts$)|${BELOW_UI}/)`,
        'What screens share knows no screen, and points down.',
      ),
    ),
    only('kit-of-controls', '^src/ui/kit/', '^src/ui/kit/', 'A control knows no word of the trade.'),
    {
      name: 'no-screen-on-another',
      comment: 'What two screens share has a room of its own.',
      severity: 'error',
      from: { path: '^src/ui/screens/([^/]+)/' },
      to: { path: '^src/ui/screens/([^/]+)/', pathNot: '^src/ui/screens/$1/' },
    },
    only('ui-below-app', '^src/ui/', `^(src/ui|${BELOW_UI})/`, 'Screens know no route.'),
    only('app-on-top', '^src/app/', '^src/(app|ui|demo|core|workers)/', 'Routes are thin.'),
    only('cli-on-core', '^cli/', '^(cli|src/core)/', 'The shell uses the same core.'),
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
