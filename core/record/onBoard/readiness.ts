import type { MonitorId } from './monitors.ts';

/** What a unit says of itself in item 01: whether its lamp is on, how many codes it stores, and which self-tests have finished. */
export interface Readiness {
  lampOn: boolean;
  storedCodes: number;
  ignition: 'spark' | 'compression';
  finished: MonitorId[];
  unfinished: MonitorId[];
}

/** By bit of the second byte; whether it is done stands four bits higher. */
const ALWAYS: readonly MonitorId[] = ['misfire', 'fuel-system', 'components'];
/** By bit of the third byte; whether it is done stands at the same bit of the fourth. Left out where the standard keeps a bit free. */
const BY_IGNITION: Record<Readiness['ignition'], readonly (MonitorId | undefined)[]> = {
  spark: [
    'catalyst',
    'heated-catalyst',
    'evaporative',
    'secondary-air',
    undefined,
    'oxygen-sensor',
    'oxygen-sensor-heater',
    'egr-vvt',
  ],
  compression: [
    'nmhc-catalyst',
    'nox',
    undefined,
    'boost',
    undefined,
    'exhaust-gas-sensor',
    'particulate-filter',
    'egr-vvt',
  ],
};
const COMPRESSION_BIT = 3;
const bit = (byte: number, number: number): boolean => ((byte >> number) & 1) === 1;

/** The four bytes of item 01: SAE J1979, from memory. */
export function readinessFrom([a = 0, b = 0, c = 0, d = 0]: readonly number[]): Readiness {
  const ignition = bit(b, COMPRESSION_BIT) ? 'compression' : 'spark';
  const has = [
    ...ALWAYS.map((id, i) => ({ id, watched: bit(b, i), open: bit(b, i + 4) })),
    ...BY_IGNITION[ignition].map((id, i) => ({ id, watched: bit(c, i), open: bit(d, i) })),
  ].flatMap(({ id, watched, open }) => (id && watched ? [{ id, open }] : []));
  return {
    lampOn: bit(a, 7),
    storedCodes: a & 0x7f,
    ignition,
    finished: has.filter(({ open }) => !open).map(({ id }) => id),
    unfinished: has.filter(({ open }) => open).map(({ id }) => id),
  };
}

/** The same as bytes, for a unit that answers it. */
export function readinessBytes({ lampOn, storedCodes, ignition, finished, unfinished }: Readiness): number[] {
  const rows = [ALWAYS, BY_IGNITION[ignition]].map((row) => ({
    watched: row.reduce(
      (sum, id, i) => (id && [...finished, ...unfinished].includes(id) ? sum | (1 << i) : sum),
      0,
    ),
    open: row.reduce((sum, id, i) => (id && unfinished.includes(id) ? sum | (1 << i) : sum), 0),
  }));
  const [always, others] = rows as [(typeof rows)[0], (typeof rows)[0]];
  const kind = ignition === 'compression' ? 1 << COMPRESSION_BIT : 0;
  return [
    (lampOn ? 0x80 : 0) | Math.min(0x7f, storedCodes),
    always.watched | kind | (always.open << 4),
    others.watched,
    others.open,
  ];
}
