import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: { name: 'core', include: ['core/**/*.test.ts', 'bench/**/*.test.ts', 'contract/**/*.test.ts'] },
      },
      { test: { name: 'web', include: ['web/**/*.test.ts'] } },
      { test: { name: 'server', include: ['server/**/*.test.ts'] } },
      {
        // One browser at a time: they share two cores with the server and the database.
        test: {
          name: 'e2e',
          include: ['e2e/**/*.test.ts'],
          testTimeout: 120_000,
          hookTimeout: 120_000,
          fileParallelism: false,
          sequence: { groupOrder: 1 },
        },
      },
    ],
  },
});
