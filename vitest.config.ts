import { defineConfig } from 'vitest/config';

/** Generous: CI runs on two slow shared cores. */
const patient = { testTimeout: 90_000, hookTimeout: 60_000 };
const decorators = { oxc: { decorator: { legacy: true, emitDecoratorMetadata: true } } };

export default defineConfig({
  test: {
    // Both cores: by itself one would be left idle.
    maxWorkers: 2,
    projects: [
      {
        ...decorators,
        test: { ...patient, name: 'core', root: 'packages/core', include: ['src/**/*.test.ts'] },
      },
      {
        ...decorators,
        test: {
          ...patient,
          name: 'contract',
          root: 'packages/contract',
          include: ['src/**/*.test.ts'],
        },
      },
      {
        ...decorators,
        test: {
          ...patient,
          name: 'server',
          root: 'apps/server',
          include: ['src/**/*.test.ts'],
        },
      },
      {
        test: {
          ...patient,
          name: 'web',
          root: 'apps/web',
          include: ['src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
        },
      },
    ],
  },
});
