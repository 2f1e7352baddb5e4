import vue from '@vitejs/plugin-vue';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import Components from 'unplugin-vue-components/vite';
import { defineConfig } from 'vitest/config';

/** No test asserts a time; this only ends one that hangs, on however slow a machine. */
const HANGS = { testTimeout: 120_000, hookTimeout: 120_000 };
/** Nothing that is imported here keeps any state: files need no world of their own. */
const PURE = { isolate: false, pool: 'threads' } as const;

export default defineConfig({
  test: {
    // Of two cores Vitest would leave one idle.
    maxWorkers: 2,
    projects: [
      {
        test: {
          ...HANGS,
          name: 'core',
          include: ['core/src/**/*.test.ts', 'tools/reckon/*.test.ts', 'tools/lib/*.test.ts'],
          environment: 'node',
          ...PURE,
        },
      },
      { test: { ...HANGS, ...PURE, name: 'contract', include: ['contract/src/**/*.test.ts'], environment: 'node' } },
      {
        test: {
          name: 'server',
          // Each file has a database of its own, and what they import is loaded once.
          isolate: false,
          include: ['server/src/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['server/src/testing/throwaway-cluster.ts'],
          ...HANGS,
        },
      },
      {
        // Style sheets of single components cannot be loaded here.
        plugins: [
          vue(),
          Components({ dirs: [], dts: false, resolvers: [ElementPlusResolver({ importStyle: false })] }),
        ],
        test: { ...HANGS, name: 'web', include: ['web/src/**/*.test.ts'], environment: 'happy-dom', pool: 'threads' },
      },
      {
        plugins: [vue()],
        test: {
          ...HANGS,
          name: 'simulator',
          include: ['simulator/*.test.ts'],
          environment: 'happy-dom',
          globalSetup: ['server/src/testing/throwaway-cluster.ts'],
        },
      },
      {
        test: {
          name: 'e2e',
          include: ['e2e/specs/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['e2e/fixtures/running-build.ts'],
          // The machine is shared: what failed is tried once more, and the report says that it was.
          retry: 1,
          ...HANGS,
        },
      },
      {
        // What kills the server over and over, and what was tried against it, for as long as it takes.
        test: {
          name: 'stress',
          include: ['e2e/specs/stress.test.ts', 'e2e/specs/in-a-hurry.test.ts', 'e2e/stress/*.test.ts'],
          environment: 'node',
          globalSetup: ['e2e/fixtures/running-build.ts'],
          fileParallelism: false,
          testTimeout: 1_800_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
