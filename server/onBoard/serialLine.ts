import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, symlinkSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';

/** What an adapter on a serial line is to whoever opens its device. */
export interface SerialLine {
  device: string;
  /** As pulling the adapter out: resolves once its device is gone. */
  unplug: () => Promise<void>;
  close: () => Promise<void>;
}

/** A terminal of its own, with whatever listens on a local port at its far end: stands in for an adapter in tests. */
export async function serialLine(port: number): Promise<SerialLine> {
  const far = spawn('script', ['-qfec', 'stty raw -echo; tty; sleep 1200', '/dev/null']);
  const gone = once(far, 'exit');
  const terminal = await new Promise<string>((resolve, reject) => {
    far.once('error', reject);
    far.stdout.once('data', (text: Buffer) => resolve(text.toString().trim()));
  });
  // By a name of its own: once it is gone, the system gives the number of its terminal to the next that asks.
  const folder = mkdtempSync('/dev/shm/lettura-line-');
  const device = join(folder, 'adapter');
  symlinkSync(terminal, device);
  const socket = connect({ host: '127.0.0.1', port });
  far.stdout.pipe(socket);
  socket.pipe(far.stdin);
  const unplug = async () => {
    rmSync(folder, { recursive: true, force: true });
    far.kill('SIGKILL');
    await gone;
  };
  return {
    device,
    unplug,
    close: () => {
      socket.destroy();
      return unplug();
    },
  };
}
