import type { Duplex } from 'node:stream';
import { plain, say, verbatim, type Message } from '@lettura/core/measure/message';
import { FeedFault, feedFaultOf } from './feedFault.ts';

/** An adapter over USB takes any speed; one behind a real serial line has to be set to this (common practice). */
const BITS_PER_SECOND = 115_200;

/** What is said where a device does not open, by the words that the operating system has for it. */
const TOLD: readonly (readonly [RegExp, (device: ReturnType<typeof verbatim>) => Message])[] = [
  [/no such file|cannot find|ENOENT/iu, (device) => say('feed.no-such-device', { device })],
  [/permission denied|EACCES/iu, (device) => say('feed.device-not-allowed', { device })],
  [/lock|busy|temporarily unavailable/iu, (device) => say('feed.device-in-use', { device })],
];

/** A serial device that stands open, with text in one byte a letter; fails in the words of a feed, after its time at the latest. */
export async function openDevice(path: string, timeoutMs: number): Promise<Duplex> {
  // Brought in only where a device is set: it is a library of the operating system.
  const { SerialPort } = await import('serialport');
  const port = new SerialPort({ path, baudRate: BITS_PER_SECOND, autoOpen: false });
  await new Promise<void>((resolve, reject) => {
    const timer = setTimeout(
      () => reject(new FeedFault(say('feed.no-connection', { within: plain(timeoutMs, 'ms') }))),
      timeoutMs,
    );
    port.open((error) => {
      clearTimeout(timer);
      if (!error) return resolve();
      const told = TOLD.find(([words]) => words.test(error.message));
      reject(new FeedFault(told ? told[1](verbatim(path)) : feedFaultOf(error)));
    });
  });
  port.setEncoding('latin1');
  return port;
}

/** What was written last is sent before it closes. */
export function closeDevice(port: Duplex): void {
  const serial = port as Duplex & { isOpen: boolean; close(done: () => void): void };
  // It may be unplugged by now, and then there is nothing to close.
  if (serial.isOpen) serial.close(() => {});
}
