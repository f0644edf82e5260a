import { svelte } from '@sveltejs/vite-plugin-svelte';
import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';
import { fileURLToPath } from 'node:url';

const alias = { $lib: fileURLToPath(new URL('./app/src/lib', import.meta.url)) };
const plugins = [svelte()];
/** What every test file starts with. */
const setupFiles = ['./core/src/testing/seed.ts'];

export default defineConfig({
  test: {
    testTimeout: 60_000,
    // Every processor works: Vitest would leave one idle, which here is half of them.
    maxWorkers: availableParallelism(),
    projects: [
      // No module keeps state from one test to the next: the files share one load of the modules.
      {
        plugins,
        resolve: { alias },
        test: {
          name: 'core',
          include: ['core/**/*.test.ts'],
          isolate: false,
          // A module with a `then` of its own must not be spread out into what is awaited.
          deps: { interopDefault: false },
          setupFiles,
          testTimeout: 60_000,
        },
      },
      {
        plugins,
        resolve: { alias },
        test: {
          name: 'app',
          setupFiles,
          include: ['app/src/**/*.test.ts'],
          isolate: false,
          testTimeout: 60_000,
        },
      },
    ],
  },
});
