// npm test: static checks, unit tests, server tests on a real database, and the application in a real browser.
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureWebBuild } from './build.mjs';
import { checkNode, ensureDebianPackages, ensureNodeModules } from './install.mjs';
import { cluster } from './postgres.mjs';
import { npm, root, run } from './run.mjs';
import { main, step } from './say.mjs';

const CHECKS = [
  ['Formatting', 'format:check'],
  ['Linting', 'lint'],
  ['Types', 'types'],
  ['Import directions', 'imports'],
  ['Words and their codes', 'words'],
];

await main(async () => {
  checkNode();
  await ensureDebianPackages({ chromium: true });
  await ensureNodeModules();
  const only = process.argv.slice(2);
  const count = { passed: 0, failed: 0 };
  if (only.length === 0) {
    // Side by side: each keeps one core busy, and the linter takes as long as the others together.
    await Promise.all(
      CHECKS.map(async ([what, script]) => {
        try {
          await step(what, () => npm(['run', '-s', script]));
          count.passed++;
        } catch (error) {
          console.error(error.message);
          count.failed++;
        }
      }),
    );
  }
  await ensureWebBuild();
  const folder = mkdtempSync(join(tmpdir(), 'lettura-test-'));
  chmodSync(folder, 0o755); // the database's own user must get to its folder inside
  const database = cluster(join(folder, 'postgres'));
  const report = join(folder, 'report.json');
  try {
    await step('Starting a database for the tests', async () => {
      await database.create();
      await database.start();
    });
    const vitest = join(root, 'node_modules', 'vitest', 'vitest.mjs');
    const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
    const { code } = await run(process.execPath, [vitest, 'run', ...reporters, ...only], {
      show: true,
      allowFailure: true,
      env: { ...process.env, TEST_CLUSTER_URL: database.url(), FORCE_COLOR: '0' },
    });
    const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
    count.passed += numPassedTests;
    // A file that does not even load fails no test of its own, but the run has failed.
    count.failed += numFailedTests || (code !== 0 ? Math.max(1, numFailedTestSuites) : 0);
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
    console.log(`${count.passed} passed, ${count.failed} failed`);
  }
  if (count.failed > 0 || count.passed === 0) process.exitCode = 1;
});
