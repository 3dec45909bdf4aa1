/** The arrows of the house: core <- contract <- server, web. Inside core a floor may import only floors above it in the list. */
const floors = [
  'units',
  'physics',
  'catalog',
  'plan',
  'meat',
  'pot',
  'stations',
  'method',
  'clock',
  'words',
  'braise',
  'simulated',
  'learning',
];

const floorRules = floors.map((floor, index) => ({
  name: `core-floor-${floor}`,
  comment: `core/${floor} stands on the floors before it, never on those after it`,
  severity: 'error',
  from: { path: `^core/src/${floor}/`, pathNot: '[.]test[.]ts$' },
  to: { path: `^core/src/(${floors.slice(index + 1).join('|') || 'none'}|index[.]ts)` },
}));

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    ...floorRules,
    {
      name: 'core-is-pure',
      comment: 'the reckoning knows no I/O, no interface and no other workspace but what a message is',
      severity: 'error',
      from: { path: '^core/src', pathNot: '([.]test[.]ts$|/testing/)' },
      to: { pathNot: '^(core/src|language/(src|dist)/message[.])' },
    },
    {
      name: 'contract-knows-core-and-zod',
      severity: 'error',
      from: { path: '^contract/src', pathNot: '[.]test[.]ts$' },
      to: { pathNot: '^(contract/src|core/src|core/dist|language/(src|dist)/message[.]|node_modules/zod)' },
    },
    {
      name: 'language-knows-nobody',
      severity: 'error',
      from: { path: '^language/src', pathNot: '[.]test[.]ts$' },
      to: { pathNot: '^(language/src|node_modules/intl-messageformat)' },
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/src' }, to: { path: '^(web|e2e)/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/src' }, to: { path: '^(server|e2e)/' } },
    {
      name: 'one-door-to-core',
      comment: 'nobody reaches past core/src/index.ts',
      severity: 'error',
      from: { path: '^(contract|server|web)/src' },
      to: { path: '^core/src/(?!index[.]ts)' },
    },
    {
      name: 'one-door-to-contract',
      severity: 'error',
      from: { path: '^(server|web)/src' },
      to: { path: '^contract/src/(?!index[.]ts)' },
    },
    {
      name: 'declared-only',
      comment: 'What is imported stands in the package.json of who imports it; what tests use, in that of all.',
      severity: 'error',
      from: { pathNot: '[.]test[.]|/testing/|^e2e/' },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] },
    },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '^(virtual:|[?])' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '[.](css|svg|png)$|[?]worker' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['hervir-source', 'import', 'require', 'node', 'default', 'types'],
      mainFields: ['module', 'main', 'types'],
    },
  },
};
