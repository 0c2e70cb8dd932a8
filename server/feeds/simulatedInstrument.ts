import { createServer, type Server, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';

/** How the stand-in misbehaves, for whoever wants to see what happens then. */
export type Mood = 'well' | 'silent' | 'garbage' | 'over-range' | 'endless-line' | 'error-queue' | 'slow';

export interface SimulatedInstrument {
  port: number;
  /** How often somebody has connected. */
  connections(): number;
  setMood(mood: Mood): void;
  /** Cuts every connection, as a pulled plug does. */
  cut(): void;
  close(): Promise<void>;
}

const IDENTITY = 'Saltmere Workshop,Simulated logger,0,1.0';
const TRAVEL_SECONDS = 12;
const SLOW_ANSWER_MS = 25;

/** Volts of a half-ratio pedal that somebody moves slowly up and down: its tracks, its reference and its return. */
function voltsOf(channel: number, seconds: number): number {
  const share = (seconds % TRAVEL_SECONDS) / TRAVEL_SECONDS;
  const travel = Math.min(1, Math.max(0, Math.min((share - 0.1) / 0.3, (0.9 - share) / 0.3)));
  const first = 1 + 3.4 * travel;
  const wires = [first, first / 2, 5.002, 0.012];
  return (wires[channel - 1] ?? 0) + 0.0005 * Math.sin(seconds * 997 + channel);
}

/** A stand-in for a logger that speaks SCPI over a socket: a real TCP server, on loopback only. */
export async function simulatedInstrument(volts = voltsOf): Promise<SimulatedInstrument> {
  let mood: Mood = 'well';
  const errors: string[] = [];
  let connections = 0;
  const sockets = new Set<Socket>();
  const began = performance.now();
  const seconds = () => (performance.now() - began) / 1000;

  const answer = (line: string): string | undefined => {
    const [, list = '1'] = /\(@([\d,]+)\)/u.exec(line) ?? [];
    const measured = () =>
      list
        .split(',')
        .map((channel) => volts(Number(channel), seconds()).toExponential(6).toUpperCase())
        .join(',');
    switch ((line.split(/[\s(]/u)[0] ?? '').toUpperCase()) {
      case '*IDN?':
        return IDENTITY;
      case '*OPC?':
        return '1';
      case '*RST':
      case '*CLS':
        errors.length = 0;
        return undefined;
      case 'SYST:ERR?':
      case 'SYSTEM:ERROR?':
        return errors.shift() ?? '0,"No error"';
      case 'MEAS:VOLT:DC?':
      case 'READ?':
      case 'FETC?':
        if (mood === 'over-range') return '9.9E+37';
        if (mood === 'garbage') return '####';
        if (mood === 'error-queue') {
          errors.push('-222,"Data out of range"');
          return '9.91E37';
        }
        return measured();
      default:
        errors.push('-113,"Undefined header"');
        return line.endsWith('?') ? '' : undefined;
    }
  };

  const server: Server = createServer((socket) => {
    connections++;
    sockets.add(socket);
    socket.setEncoding('latin1');
    socket.on('close', () => sockets.delete(socket));
    socket.on('error', () => socket.destroy());
    let text = '';
    socket.on('data', (piece: string) => {
      text += piece;
      for (let end = text.indexOf('\n'); end >= 0; end = text.indexOf('\n')) {
        const line = text.slice(0, end).trim();
        text = text.slice(end + 1);
        if (mood === 'silent' || line === '') continue;
        if (mood === 'endless-line') {
          socket.write('9'.repeat(10_000));
          continue;
        }
        const said = answer(line);
        if (said === undefined) continue;
        if (mood === 'slow') setTimeout(() => socket.write(`${said}\n`), SLOW_ANSWER_MS);
        else socket.write(`${said}\n`);
      }
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    port: (server.address() as AddressInfo).port,
    connections: () => connections,
    setMood: (next) => (mood = next),
    cut: () => sockets.forEach((socket) => socket.destroy()),
    close: async () => {
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
