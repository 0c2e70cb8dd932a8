import { spawn } from 'node:child_process';
import { connect } from 'node:net';

/** What an adapter on a serial line is to whoever opens its device. */
export interface SerialLine {
  device: string;
  /** As pulling the adapter out. */
  unplug: () => void;
  close: () => void;
}

/** A terminal of its own, with whatever listens on a local port at its far end: stands in for an adapter in tests. */
export async function serialLine(port: number): Promise<SerialLine> {
  const far = spawn('script', ['-qfec', 'stty raw -echo; tty; sleep 1200', '/dev/null']);
  const device = await new Promise<string>((resolve, reject) => {
    far.once('error', reject);
    far.stdout.once('data', (text: Buffer) => resolve(text.toString().trim()));
  });
  const socket = connect({ host: '127.0.0.1', port });
  far.stdout.pipe(socket);
  socket.pipe(far.stdin);
  const unplug = () => void far.kill();
  return {
    device,
    unplug,
    close: () => {
      socket.destroy();
      unplug();
    },
  };
}
