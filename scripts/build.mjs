import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { root, run } from './run.mjs';
import { step } from './say.mjs';

const SOURCES = ['core', 'bench', 'words', 'contract', 'web', 'package-lock.json'];

/** Builds the web application when anything it is made from has changed. */
export async function ensureWebBuild() {
  const stamp = join(root, 'web', 'dist', '.built-from');
  const sources = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
  await step('Building the web application', () =>
    run(process.execPath, [join(root, 'node_modules', 'vite', 'bin', 'vite.js'), 'build', 'web'], {
      // Whatever the caller is: a build made from within a test would otherwise be the slow one for developers.
      env: { ...process.env, NODE_ENV: 'production' },
    }),
  );
  compressAssets(join(root, 'web', 'dist', 'assets'));
  writeFileSync(stamp, sources);
}

/** Each text among the assets once as brotli and once as gzip, ahead of time: the server only hands them out. */
function compressAssets(folder) {
  for (const name of readdirSync(folder).filter((one) => /\.(js|css|svg|json)$/u.test(one))) {
    const bytes = readFileSync(join(folder, name));
    writeFileSync(join(folder, `${name}.br`), brotliCompressSync(bytes));
    writeFileSync(join(folder, `${name}.gz`), gzipSync(bytes, { level: 9 }));
  }
}

function fingerprint() {
  const hash = createHash('sha256');
  const visit = (path) => {
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) {
        if (name !== 'dist' && name !== 'node_modules' && !name.includes('.test.')) visit(join(path, name));
      }
    } else {
      hash.update(path).update(readFileSync(path));
    }
  };
  for (const source of SOURCES) visit(join(root, source));
  return hash.digest('hex');
}
