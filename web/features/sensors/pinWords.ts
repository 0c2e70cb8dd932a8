import type { PinWire } from '@lettura/contract';
import { t } from '../../ui/words.ts';

export const PIN_WORDS: Record<PinWire, string> = {
  reference: t('ui-sensors.reference'),
  signal: t('ui-sensors.signal'),
  return: t('ui-sensors.return'),
  'second-signal': t('ui-sensors.signal-track-2'),
  'second-reference': t('ui-sensors.reference-track-2'),
  'second-return': t('ui-sensors.return-track-2'),
  'temperature-signal': t('ui-sensors.temperature-signal'),
  'battery-feed': t('ui-sensors.battery-feed-12-v'),
  'motor-plus': 'Motor +',
  'motor-minus': 'Motor −',
  other: t('ui-sensors.other'),
};
