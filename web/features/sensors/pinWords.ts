import type { PinWire } from '@lettura/contract';

export const PIN_WORDS: Record<PinWire, string> = {
  reference: 'Reference',
  signal: 'Signal',
  return: 'Return',
  'second-signal': 'Signal, track 2',
  'second-reference': 'Reference, track 2',
  'second-return': 'Return, track 2',
  'temperature-signal': 'Temperature signal',
  'battery-feed': 'Battery feed, 12 V',
  'motor-plus': 'Motor +',
  'motor-minus': 'Motor −',
  other: 'Other',
};
