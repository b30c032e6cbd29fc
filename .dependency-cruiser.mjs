/**
 * Which room may look into which, as allow lists: what is not named here is refused. Type imports
 * count. `npm` names the packages that may be used; every other room may use what its package.json
 * names.
 */
const ROOMS = {
  core: { npm: [] },
  kernel: { npm: ['zod', 'temporal-polyfill'] },
  knowledge: { rooms: ['core'], npm: ['@noble/hashes'] },
  ticket: { rooms: ['core', 'knowledge', 'kernel'], npm: ['zod'] },
  shop: { rooms: ['core', 'knowledge', 'kernel', 'ticket'], npm: ['zod'] },
  tables: { rooms: ['core', 'knowledge', 'kernel'], npm: ['zod'] },
  exchange: {
    rooms: ['core', 'knowledge', 'kernel', 'ticket', 'shop', 'tables'],
    npm: ['zod', 'papaparse'],
  },
  api: { rooms: ['kernel', 'ticket', 'shop', 'tables', 'exchange'], npm: ['zod', '@noble/hashes'] },
  client: { rooms: ['api', 'kernel', 'ticket', 'shop', 'tables'], noNode: true },
  server: {
    rooms: ['core', 'knowledge', 'kernel', 'ticket', 'shop', 'tables', 'exchange', 'api'],
  },
  web: {
    rooms: ['core', 'knowledge', 'kernel', 'ticket', 'shop', 'tables', 'exchange', 'api', 'client'],
    noNode: true,
  },
  diagnose: { rooms: ['core', 'knowledge'] },
};

const GROUND = ['messages', 'time', 'store', 'ui'];
const DATA = [...GROUND, 'api'];
const SHARED = [...DATA, 'drawing', 'session'];

/** The layers of the page, each with those that it may look into. */
const LAYERS_OF_THE_PAGE = {
  messages: ['time'],
  time: [],
  store: [],
  serviceWorker: ['messages'],
  ui: ['messages', 'time'],
  drawing: ['messages', 'ui'],
  api: ['store'],
  workers: [],
  session: [...DATA],
  shop: [...SHARED, 'workers'],
  ticket: [...SHARED, 'workers'],
  instruments: [...SHARED, 'ticket', 'workers'],
  features: [...SHARED, 'shop', 'ticket', 'instruments', 'workers'],
  app: [...SHARED, 'features', 'instruments', 'serviceWorker'],
};

/** What `from` may import besides itself: rooms by their entry point, packages, node. */
function allowList(room, { rooms = [], npm, noNode = npm !== undefined }) {
  const own = `^packages/${room}/`;
  const entries = rooms.map((name) => `^packages/${name}/src/index\\.ts$`);
  const packages = npm ? npm.map((name) => `node_modules/${name}/`) : ['node_modules/'];
  const to = { pathNot: [own, ...entries, ...packages] };
  const from = { path: `^packages/${room}/src/` };
  const rule = { name: `${room}-allows`, severity: 'error', from };
  return noNode ? [{ ...rule, to }] : [{ ...rule, to: { ...to, dependencyTypesNot: ['core'] } }];
}

export default {
  forbidden: [
    ...Object.entries(ROOMS).flatMap(([room, allowed]) => allowList(room, allowed)),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-circles-of-folders',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    {
      name: 'rooms-by-their-entry-point',
      severity: 'error',
      comment: 'Another package is entered through its index, by tests and benches too.',
      from: { path: '^(?:packages/)?([^/]+)/' },
      to: { path: '^packages/[^/]+/src', pathNot: ['^packages/$1/', '/src/index\\.ts$'] },
    },
    {
      name: 'no-test-code-in-what-ships',
      severity: 'error',
      from: { path: '^(packages|demo)/[^/]*/?src' },
      to: { path: '/test/' },
    },
    ...Object.entries(LAYERS_OF_THE_PAGE).map(([layer, below]) => ({
      name: `web-${layer}-allows`,
      severity: 'error',
      from: { path: `^packages/web/src/${layer}/` },
      to: {
        path: '^packages/web/src/',
        pathNot: `^packages/web/src/(${[layer, ...below].join('|')})/`,
      },
    })),
    {
      name: 'features-apart',
      severity: 'error',
      comment: 'What two tasks share lies below them: in shop/ or ticket/.',
      from: { path: '^packages/web/src/(features|instruments)/([^/]+)/' },
      to: {
        path: '^packages/web/src/$1/',
        pathNot: ['^packages/web/src/$1/$2/', '^packages/web/src/instruments/frame/'],
      },
    },
    {
      name: 'packages-are-named-in-package-json',
      severity: 'error',
      from: { path: '^(packages/[^/]+|demo|simulation)/src/' },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] },
    },
    { name: 'resolves', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|data)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.mjs', '.js'],
    },
  },
};
