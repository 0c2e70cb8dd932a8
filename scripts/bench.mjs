// npm run bench: performance as ratios within one run, so that a slow machine changes little.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureWebBuild } from './build.mjs';
import { checkNode, ensureDebianPackages, ensureNodeModules } from './install.mjs';
import { cluster } from './postgres.mjs';
import { root, run } from './run.mjs';
import { main, step } from './say.mjs';

await main(async () => {
  checkNode();
  await ensureDebianPackages();
  await ensureNodeModules();
  await ensureWebBuild();
  const folder = mkdtempSync(join(tmpdir(), 'lettura-bench-'));
  chmodSync(folder, 0o755);
  const database = cluster(join(folder, 'postgres'));
  try {
    await step('Starting a database', async () => {
      await database.create();
      await database.start();
    });
    await run(process.execPath, ['--import', 'tsx', join(root, 'scripts', 'bench', 'ratios.ts')], {
      show: true,
      env: { ...process.env, DATABASE_URL: database.url() },
    });
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
