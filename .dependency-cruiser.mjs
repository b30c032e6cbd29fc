/** Which room may look into which. Type imports count. */
const PURE = '^packages/(core|knowledge|contract)/src';

export default {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^packages/core/src' },
      to: { pathNot: '^packages/core/src' },
    },
    {
      name: 'knowledge-knows-core-only',
      severity: 'error',
      from: { path: '^packages/knowledge/src' },
      to: { path: '^(packages/(contract|server|web)|demo|simulation|e2e)/' },
    },
    {
      name: 'contract-knows-core-and-knowledge-only',
      severity: 'error',
      from: { path: '^packages/contract/src' },
      to: { path: '^(packages/(server|web)|demo|simulation|e2e)/' },
    },
    {
      name: 'web-and-server-never-meet',
      severity: 'error',
      from: { path: '^packages/web/' },
      to: { path: '^(packages/server|demo|simulation|e2e)/' },
    },
    {
      name: 'server-and-web-never-meet',
      severity: 'error',
      from: { path: '^packages/server/' },
      to: { path: '^(packages/web|demo|simulation|e2e)/' },
    },
    {
      name: 'client-knows-the-contract-only',
      severity: 'error',
      from: { path: '^packages/client/src' },
      to: { path: '^(packages/(server|web|core|knowledge)|demo|simulation|e2e)/' },
    },
    {
      name: 'client-without-node',
      severity: 'error',
      from: { path: '^packages/client/src' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'pure-packages-without-node',
      severity: 'error',
      from: { path: PURE },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'pure-packages-without-frameworks',
      severity: 'error',
      from: { path: PURE },
      to: { path: 'node_modules', pathNot: 'node_modules/(zod|@noble/hashes)/' },
    },
    {
      name: 'packages-by-their-door',
      severity: 'error',
      comment: 'Another package is entered through its index (or a door its exports name).',
      from: { path: '^(?:packages/)?([^/]+)/' },
      to: {
        path: '^packages/[^/]+/src',
        pathNot: [
          '^packages/$1/',
          '/src/index\\.ts$',
          '^packages/contract/src/routes/addresses\\.ts$',
          '^packages/contract/src/light\\.ts$',
        ],
      },
    },
    {
      name: 'drawings-and-ui-know-no-feature',
      severity: 'error',
      from: { path: '^packages/web/src/(ui|drawing|api|store|messages)/' },
      to: { path: '^packages/web/src/features/' },
    },
    {
      name: 'no-test-code-in-what-ships',
      severity: 'error',
      from: { path: '^(packages|demo)/[^/]*/?src' },
      to: { path: '/test/' },
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
