import { createServer, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';
import { liveBytes, liveItemOf, type LiveItemId } from '@lettura/core/machine/live';

export interface SimulatedUnit {
  port: number;
  /** Stops answering without closing anything. */
  fallSilent(silent: boolean): void;
  cut(): void;
  close(): Promise<void>;
}

const EVERY_MS = 100;
const hex = (byte: number): string => byte.toString(16).toUpperCase().padStart(2, '0');

/** An answer to the request for an item: its length, the service, the item, its count. */
function answer(id: LiveItemId, value: number): string {
  const bytes = liveBytes(liveItemOf(id), value);
  return [2 + bytes.length, 0x41, id, ...bytes].map(hex).join('');
}

/** What an idling engine with a pedal that somebody moves answers, item by item. */
const ANSWERS: readonly ((seconds: number) => string)[] = [
  (seconds) => answer(0x0b, 34 + 2 * Math.sin(seconds)),
  (seconds) => answer(0x0c, 820 + 15 * Math.sin(2 * seconds)),
  () => answer(0x10, 2.4),
  (seconds) => answer(0x49, 100 * Math.max(0, Math.sin(seconds / 2)) ** 2),
  () => answer(0x33, 101),
];

/** A stand-in for a control unit behind an adapter: a TCP server on loopback that writes a log of frames as it goes. */
export async function simulatedUnit(): Promise<SimulatedUnit> {
  const sockets = new Set<Socket>();
  let silent = false;
  let turn = 0;
  const server = createServer((socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
    socket.on('error', () => socket.destroy());
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const timer = setInterval(() => {
    if (silent) return;
    const seconds = Date.now() / 1000;
    const lines = ANSWERS.map((of) => `(${seconds.toFixed(6)}) sim0 7E8#${of(seconds)}\n`);
    // Between two answers other traffic is on the bus as well.
    const line = `(${seconds.toFixed(6)}) sim0 1A0#${hex(turn++ % 256)}00FF\n${lines.join('')}`;
    for (const socket of sockets) socket.write(line);
  }, EVERY_MS);
  return {
    port: (server.address() as AddressInfo).port,
    fallSilent: (now) => (silent = now),
    cut: () => sockets.forEach((socket) => socket.destroy()),
    close: async () => {
      clearInterval(timer);
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
