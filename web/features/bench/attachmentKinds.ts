import { t } from '../../ui/words.ts';
import { say, type Message } from '@lettura/core/measure/message';

export const KINDS = {
  jumper: t('ui-bench.jumper-wire'),
  'voltage-source': t('ui-bench.known-voltage'),
  'test-light': t('ui-bench.test-light'),
} as const;
export type Kind = keyof typeof KINDS;

/** What can go wrong with each. */
export const cautionOf = (kind: Kind): Message => say(`attach-caution.${kind}`);
