/** @type {import('jest').Config} */
const swc = [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
  },
]
/** A package that is a module only, and which Jest loads as anything else. */
const asCommon = ['@swc/jest', { jsc: { target: 'es2022' }, module: { type: 'commonjs' } }]
const base = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '/clipper2-ts/.+\\.js$': asCommon, '^.+\\.tsx?$': swc },
  transformIgnorePatterns: ['/node_modules/(?!clipper2-ts/)'],
  moduleNameMapper: { '^~/(.*)$': '<rootDir>/app/$1', '\\.css$': '<rootDir>/tests/empty.cjs' },
}
export default {
  // only against hanging: how quick a thing is belongs to the bench, and machines differ
  testTimeout: 600_000,
  // as many as there are cores: the machines this runs on have two, and one would stand idle
  maxWorkers: '100%',
  coverageProvider: 'babel',
  collectCoverageFrom: ['app/**/*.{ts,tsx}', '!app/**/*.d.ts'],
  projects: [
    {
      ...base,
      displayName: 'node',
      testEnvironment: 'node',
      setupFiles: ['<rootDir>/tests/steady.ts'],
      testMatch: ['<rootDir>/app/**/*.test.ts', '<rootDir>/tests/*.test.ts'],
    },
    {
      ...base,
      displayName: 'dom',
      testEnvironment: '<rootDir>/tests/env-dom.cjs',
      testMatch: ['<rootDir>/app/**/*.test.tsx'],
    },
  ],
}
