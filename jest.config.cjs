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
  ...extra,
  setupFiles: [`${__dirname}/scripts/seed.cjs`, ...(extra.setupFiles ?? [])],
});

module.exports = {
  projects: [
    project('core'),
    project('contract'),
    project('server', {
      transform: { '^.+\\.[cm]?[jt]s$': swc(true) },
      setupFiles: ['reflect-metadata'],
    }),
    project('web', {
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
      transform: { '^.+\\.[cm]?[jt]sx?$': swc(false, true) },
      transformIgnorePatterns: ['/node_modules/(?!(d3|d3-[a-z-]+|internmap|delaunator|robust-predicates)/)'],
    }),
    project('e2e'),
  ],
};
