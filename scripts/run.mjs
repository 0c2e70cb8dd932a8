import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { Stop } from './say.mjs';

export const root = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command to its end. Its output is kept back and shown only when it fails, unless `show` is set. */
export function run(
  command,
  args,
  { show = false, cwd = root, env = process.env, allowFailure = false } = {},
) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env,
      stdio: ['ignore', show ? 'inherit' : 'pipe', show ? 'inherit' : 'pipe'],
    });
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    child.on('error', (error) => reject(new Stop(`${command} could not be started: ${error.message}`)));
    child.on('close', (code) => {
      if (code === 0 || allowFailure) resolve({ code, output });
      else reject(new Stop(`${output}\n${command} ${args.join(' ')} failed with code ${code}.`));
    });
  });
}

/** npm itself, whichever one started this script. */
export const npm = (args, options) =>
  process.env.npm_execpath?.endsWith('.js')
    ? run(process.execPath, [process.env.npm_execpath, ...args], options)
    : run('npm', args, options);
