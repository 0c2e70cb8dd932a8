import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { catalogueAssets } from './catalogueAssets.ts';

export default defineConfig(({ command }) => ({
  plugins: [react(), catalogueAssets()],
  resolve: {
    alias:
      command === 'build'
        ? [
            {
              find: /^@formatjs\/icu-messageformat-parser$/u,
              replacement: '@formatjs/icu-messageformat-parser/no-parser.js',
            },
          ]
        : [],
  },
  build: {
    // Chromium, Firefox and Safari of the last two years: a workshop tablet that still gets updates.
    target: 'es2023',
    chunkSizeWarningLimit: 700,
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4730' } },
}));
