import { say } from '@lettura/core/measure/message';
import type { Companion } from '@lettura/core/measure/companion';
import { THREE_WIRES, type Lane } from '@lettura/core/machine/places';
import type { PairLaw } from '@lettura/core/measure/positionPair';
import type { ThermistorLaw } from '@lettura/core/measure/thermistor';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { plainText } from './text.ts';

const pairLaw = z.discriminatedUnion('law', [
  z.strictObject({ law: z.literal('mirrored') }),
  z.strictObject({
    law: z.literal('ratio'),
    ratio: z.number().min(0.1).max(10),
    offsetVolts: z.number().min(-5).max(5),
  }),
]) satisfies z.ZodType<PairLaw>;

const thermistor = z.discriminatedUnion('law', [
  z.strictObject({
    law: z.literal('beta'),
    ohmsAt25Celsius: z.number().min(10).max(1e6),
    betaKelvin: z.number().min(500).max(10_000),
  }),
  z.strictObject({
    law: z.literal('steinhart-hart'),
    a: z.number().min(1e-5).max(1e-2),
    b: z.number().min(1e-6).max(1e-2),
    c: z.number().min(1e-10).max(1e-5),
  }),
]) satisfies z.ZodType<ThermistorLaw>;

/** What else the same body reports. */
export const companion = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('second-track'),
    pair: pairLaw,
    /** Whether each track has a reference and return of its own. */
    separateFeeds: z.boolean(),
    limitPercentOfReference: z.number().min(0.1).max(50).optional(),
  }),
  z.strictObject({
    kind: z.literal('temperature'),
    thermistor,
    /** In the control unit, from the reference. */
    pullUpOhms: z.number().min(100).max(1e6),
  }),
]) satisfies z.ZodType<Companion>;

export const PIN_WIRES = [
  'reference',
  'signal',
  'return',
  'second-signal',
  'second-reference',
  'second-return',
  'temperature-signal',
  'battery-feed',
  'motor-plus',
  'motor-minus',
  'other',
] as const;
export type PinWire = (typeof PIN_WIRES)[number];

export const pin = z.strictObject({
  /** As stamped on the plug. */
  terminal: plainText(8).min(1, refusal(say('refusal.give-terminal-its-number'))),
  wire: z.enum(PIN_WIRES),
  colour: plainText(40),
});
export type Pin = z.infer<typeof pin>;

export const pins = z
  .array(pin)
  .max(12)
  .refine((all) => new Set(all.map(({ terminal }) => terminal)).size === all.length, {
    error: refusal(say('refusal.two-pins-have-same-terminal')),
  })
  .readonly();

/** Wires beyond three that a plug may say it has. */
const BY_PIN = ['battery-feed', 'motor-plus', 'motor-minus'] as const;

/** The wires to draw and to probe: the three of every sensor, and those that this body has besides. */
export function lanesOf({
  companion,
  pins,
}: {
  companion?: Companion | undefined;
  pins: readonly Pin[];
}): Lane[] {
  const ownFeeds = companion?.kind === 'second-track' && companion.separateFeeds;
  return [
    ...THREE_WIRES,
    ...(ownFeeds ? (['second-reference'] as const) : []),
    ...(companion ? (['second-signal'] as const) : []),
    ...(ownFeeds ? (['second-return'] as const) : []),
    ...BY_PIN.filter((lane) => pins.some(({ wire }) => wire === lane)),
  ];
}
