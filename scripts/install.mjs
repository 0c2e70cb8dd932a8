import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { npm, root, run } from './run.mjs';
import { step, Stop } from './say.mjs';

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Stop(`Lettura needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  }
}

/** `npm ci`, only when the lock file has changed since the last one. */
export async function ensureNodeModules() {
  const lockHash = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.lettura-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lockHash) return;
  await step('Installing node modules', () => npm(['ci', '--no-audit', '--no-fund']));
  writeFileSync(stamp, lockHash);
}

/** The folder with PostgreSQL's server programs: Debian keeps them off the PATH. */
export function findPostgres() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : [];
  return versions
    .map((version) => join(base, version, 'bin'))
    .find((folder) => existsSync(join(folder, 'initdb')));
}

const CHROMIUM = '/usr/bin/chromium';
export const findChromium = () => (existsSync(CHROMIUM) ? CHROMIUM : undefined);

/** Installs the Debian packages that are missing, where this user may; otherwise says the one command to run. */
export async function ensureDebianPackages({ chromium = false } = {}) {
  const missing = [
    ...(findPostgres() ? [] : ['postgresql']),
    ...(!chromium || findChromium() ? [] : ['chromium']),
  ];
  if (missing.length === 0) return;
  const command = `apt-get install -y ${missing.join(' ')}`;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    throw new Stop(
      `${missing.join(' and ')} must be installed first. Run:\n\n  sudo ${command}\n\nand start this again.`,
    );
  }
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  await step('Updating the package list', () => run('apt-get', ['update'], { env }));
  await step(`Installing ${missing.join(' and ')} from Debian’s packages`, () =>
    run('apt-get', ['install', '-y', ...missing], { env }),
  );
  if (!findPostgres()) throw new Stop('PostgreSQL was installed, but its server programs were not found.');
}
