import { defineConfig } from 'vitest/config';

const decorators = { oxc: { decorator: { legacy: true, emitDecoratorMetadata: true } } };

export default defineConfig({
  test: {
    projects: [
      {
        ...decorators,
        test: { name: 'core', root: 'packages/core', include: ['src/**/*.test.ts'] },
      },
      {
        ...decorators,
        test: { name: 'contract', root: 'packages/contract', include: ['src/**/*.test.ts'] },
      },
      {
        ...decorators,
        test: {
          name: 'server',
          root: 'apps/server',
          include: ['src/**/*.test.ts'],
          testTimeout: 30_000,
          hookTimeout: 30_000,
        },
      },
      {
        test: {
          name: 'web',
          root: 'apps/web',
          include: ['src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
        },
      },
    ],
  },
});
