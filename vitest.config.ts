import { defineConfig } from 'vitest/config';

/** Generous: CI runs on two slow shared cores. */
const patient = { testTimeout: 90_000, hookTimeout: 60_000 };
/**
 * Modules are loaded once, not once a file: nothing here keeps a state between tests. Both cores are
 * at work already: helper threads of the collector would only be in the way.
 */
const shared = {
  isolate: false,
  execArgv: ['--single-threaded-gc', '--max-semi-space-size=64'],
};
/** What is compiled already is loaded as it is; of tests that are, only they themselves are not. */
const compiled = {
  server: {
    deps: { external: [/\/packages\/(core|contract)\/dist\//, /\/tested\/(?!.*\.test\.js)/] },
  },
};
const decorators = { oxc: { decorator: { legacy: true, emitDecoratorMetadata: true } } };
/** `npm test` compiles these tests with what they test, which loads and runs quicker. */
const areCompiled = process.env['BROOKRAIN_TESTS'] === 'compiled';
const include = [areCompiled ? 'tested/**/*.test.js' : 'src/**/*.test.ts'];

export default defineConfig({
  test: {
    // One more than there are cores: tests that start programs wait for them meanwhile.
    maxWorkers: 3,
    projects: [
      {
        ...decorators,
        test: {
          ...patient,
          ...shared,
          ...compiled,
          name: 'core',
          root: 'packages/core',
          include,
        },
      },
      {
        ...decorators,
        test: {
          ...patient,
          ...shared,
          ...compiled,
          name: 'contract',
          root: 'packages/contract',
          include,
        },
      },
      {
        ...decorators,
        test: {
          ...patient,
          ...shared,
          ...compiled,
          name: 'server',
          root: 'apps/server',
          include,
        },
      },
      {
        test: {
          ...patient,
          ...shared,
          ...compiled,
          name: 'web',
          root: 'apps/web',
          include: ['src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
        },
      },
    ],
  },
});
