/** One Jest project a workspace. Workspaces are read from their TypeScript source through the `hervir-source` condition. */
const swc = (decorators, react) => [
  '@swc/jest',
  {
    swcrc: false,
    module: { type: 'commonjs' },
    jsc: {
      target: 'es2022',
      keepClassNames: true,
      parser: { syntax: 'typescript', tsx: Boolean(react), decorators: Boolean(decorators) },
      transform: {
        ...(decorators ? { legacyDecorator: true, decoratorMetadata: true } : {}),
        ...(react ? { react: { runtime: 'automatic' } } : {}),
      },
    },
  },
];

const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['hervir-source', 'node', 'require', 'node-addons'] },
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '^.+\\.[cm]?[jt]s$': swc() },
  transformIgnorePatterns: [
    '/node_modules/(?!(intl-messageformat|@formatjs/[a-z-]+|d3|d3-[a-z-]+|internmap|delaunator|robust-predicates)/)',
  ],
  ...extra,
  setupFiles: [`${__dirname}/scripts/seed.cjs`, ...(extra.setupFiles ?? [])],
});

const config = {
  // Nothing is timed: a test ends by itself, and one that hangs is somebody's to look at.
  testTimeout: 900_000,
  testSequencer: `${__dirname}/scripts/browser-first.cjs`,
  projects: [
    project('language'),
    project('core', {
      // What the reckoning says is English at once in its own tests.
      moduleNameMapper: { '^@hervir/language/message$': '<rootDir>/src/testing/said-in-english.ts' },
    }),
    project('contract', {
      moduleNameMapper: { '^@hervir/language/message$': '<rootDir>/../core/src/testing/said-in-english.ts' },
    }),
    project('server', {
      transform: { '^.+\\.[cm]?[jt]s$': swc(true) },
      setupFiles: ['reflect-metadata'],
    }),
    project('web', {
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
      transform: { '^.+\\.[cm]?[jt]sx?$': swc(false, true) },
      setupFiles: [`${__dirname}/web/src/testing/shims.ts`],
      // Style sheets draw nothing in a test; workers answer on the page's own thread.
      moduleNameMapper: {
        '\\.module\\.css$': '<rootDir>/src/testing/class-names.ts',
        '\\.css$': '<rootDir>/src/testing/nothing.ts',
        // jsdom would parse every rule of the component library, and nothing asks how a thing looks.
        '[/]Dom[/]dynamicCSS$': '<rootDir>/src/testing/no-styles.ts',
        // Some of the component library's parts ask for each other's ES modules.
        '^(@ant-design/[a-z-]+|@rc-component/[a-z-]+)/es/(.*)$': '$1/lib/$2',
        '/forecast-worker$': '<rootDir>/src/testing/forecast-worker.ts',
        '(^|/)begin$': '<rootDir>/src/testing/begin.ts',
      },
    }),
    project('e2e'),
  ],
};

/** Messages are compiled first: the tests speak them. */
module.exports = async () => {
  const { compileMessages } = await import('./scripts/lib.mjs');
  compileMessages();
  return config;
};
