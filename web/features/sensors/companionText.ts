import type { Companion } from '@lettura/core/measure/companion';
import { z } from 'zod';
import { numberIn } from '../../ui/numberIn.ts';
import { t } from '../../ui/words.ts';

export const COMPANION_KINDS = ['none', 'mirrored', 'ratio', 'beta', 'steinhart-hart'] as const;

export const companionText = z.object({
  kind: z.enum(COMPANION_KINDS),
  ratio: z.string(),
  offset: z.string(),
  separateFeeds: z.boolean(),
  /** % of the reference; empty takes the usual limit. */
  limit: z.string().default(''),
  ohms: z.string(),
  beta: z.string(),
  a: z.string(),
  b: z.string(),
  c: z.string(),
  pullUp: z.string(),
});
export type CompanionText = z.infer<typeof companionText>;

export const EMPTY_COMPANION: CompanionText = {
  kind: 'none',
  ratio: '2',
  offset: '0',
  separateFeeds: false,
  limit: '',
  ohms: '2000',
  beta: '3500',
  a: '0.001129241',
  b: '0.0002341077',
  c: '0.00000008775468',
  pullUp: '2200',
};

export const COMPANION_WORDS: Record<CompanionText['kind'], string> = {
  none: t('ui-sensors.nothing-else'),
  mirrored: t('ui-sensors.second-track-mirrored-both-make'),
  ratio: t('ui-sensors.second-track-ratio-offset'),
  beta: t('ui-sensors.temperature-thermistor'),
  'steinhart-hart': t('ui-sensors.temperature-thermistor-steinhart-hart'),
};

export function companionFrom(text: CompanionText): { companion?: Companion } {
  switch (text.kind) {
    case 'none':
      return {};
    case 'mirrored':
      return {
        companion: {
          kind: 'second-track',
          pair: { law: 'mirrored' },
          separateFeeds: text.separateFeeds,
          ...limitFrom(text.limit),
        },
      };
    case 'ratio':
      return {
        companion: {
          kind: 'second-track',
          pair: { law: 'ratio', ratio: numberIn(text.ratio), offsetVolts: numberIn(text.offset) },
          separateFeeds: text.separateFeeds,
          ...limitFrom(text.limit),
        },
      };
    case 'beta':
      return {
        companion: {
          kind: 'temperature',
          thermistor: {
            law: 'beta',
            ohmsAt25Celsius: numberIn(text.ohms),
            betaKelvin: numberIn(text.beta),
          },
          pullUpOhms: numberIn(text.pullUp),
        },
      };
    case 'steinhart-hart':
      return {
        companion: {
          kind: 'temperature',
          thermistor: {
            law: 'steinhart-hart',
            a: numberIn(text.a),
            b: numberIn(text.b),
            c: numberIn(text.c),
          },
          pullUpOhms: numberIn(text.pullUp),
        },
      };
  }
}

const limitFrom = (text: string) => (text.trim() === '' ? {} : { limitPercentOfReference: numberIn(text) });
