import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts', 'tools/reckon/*.test.ts', 'tools/lib/*.test.ts'],
          environment: 'node',
        },
      },
      { test: { name: 'contract', include: ['contract/src/**/*.test.ts'], environment: 'node' } },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['server/src/testing/throwaway-cluster.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
      { plugins: [vue()], test: { name: 'web', include: ['web/src/**/*.test.ts'], environment: 'happy-dom' } },
      {
        test: {
          name: 'e2e',
          include: ['e2e/specs/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['e2e/fixtures/running-build.ts'],
          fileParallelism: false,
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
