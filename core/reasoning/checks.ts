/** The questions that plain readings answer, each with its possible answers. */
export const CHECKS = {
  'reference-at-plug': ['normal', 'low', 'missing', 'high'],
  'reference-at-unit': ['normal', 'low', 'missing', 'high'],
  'reference-unplugged': ['normal', 'low', 'missing', 'high'],
  'return-at-plug': ['near-zero', 'raised', 'floating'],
  'return-at-unit': ['near-zero', 'raised'],
  'signal-koeo': ['ambient', 'shifted', 'shifted-by-return', 'low', 'high'],
  'signal-follows': ['moves', 'stuck'],
  'signal-unit-vs-plug': ['same', 'differs'],
  'signal-unplugged': ['at-bias', 'held-high', 'held-low'],
  'live-vs-plug': ['agrees', 'differs'],
  'sensor-vs-gauge-hose': ['agree', 'disagree', 'disagree-by-return'],
  'sensor-vs-gauge-manifold': ['agree', 'disagree', 'disagree-by-return'],
  'vacuum-at-hose': ['healthy', 'low'],
  'vacuum-at-manifold': ['healthy', 'low'],
} as const satisfies Record<string, readonly string[]>;

export type CheckId = keyof typeof CHECKS;
export type OutcomeOf<Id extends CheckId> = (typeof CHECKS)[Id][number];
