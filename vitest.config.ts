import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: { name: 'core', include: ['core/**/*.test.ts', 'bench/**/*.test.ts', 'contract/**/*.test.ts'] },
      },
      { test: { name: 'server', include: ['server/**/*.test.ts'] } },
    ],
  },
});
