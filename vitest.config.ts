import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** The same cases in every run: what a run finds, the next one finds as well. */
const setupFiles = ['scripts/seededProperties.ts'];

/** Being slow is no fault: how fast something is, the benches measure. */
const PATIENCE_MS = 300_000;

/** Every core is used; without this one stands still, since nobody watches a run. */
const maxWorkers = availableParallelism();

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          include: [
            'core/**/*.test.ts',
            'bench/**/*.test.ts',
            'strangers/**/*.test.ts',
            'words/**/*.test.ts',
            'contract/**/*.test.ts',
            'scripts/**/*.test.ts',
          ],
          testTimeout: PATIENCE_MS,
          setupFiles,
          maxWorkers,
          // Nothing is mocked and nothing kept between tests: each worker loads the program once.
          isolate: false,
        },
      },
      { test: { name: 'web', include: ['web/**/*.test.ts'], setupFiles, maxWorkers, isolate: false } },
      {
        test: {
          name: 'server',
          include: ['server/**/*.test.ts'],
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
          setupFiles,
          maxWorkers,
          isolate: false,
        },
      },
      {
        // After the others, so that no browser waits for a core.
        test: {
          name: 'e2e',
          include: ['e2e/**/*.test.ts'],
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
          maxWorkers,
          // A page answers when it can: being slow is no fault here (the same patience as with clicks, e2e/application.ts).
          expect: { poll: { timeout: 90_000, interval: 200 } },
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
