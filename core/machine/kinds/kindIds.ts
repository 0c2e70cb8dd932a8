/** What can be wrong outside of sensor and circuit; each family of sensors says which of them it can have. */
export const PHYSICAL_KIND_IDS = [
  'hose',
  'hoses-swapped',
  'linkage',
  'unmetered-air',
  'restricted-passages',
  'low-vacuum',
] as const;
export type PhysicalKindId = (typeof PHYSICAL_KIND_IDS)[number];

/** Every kind of fault that this product knows, by name. */
export const FAULT_KIND_IDS = [
  'wire-open',
  'wire-high-resistance',
  'wire-to-ground',
  'wire-to-battery',
  'wires-together',
  'two-wires-open',
  'rail-pulled-down',
  'unit-gives-no-reference',
  'unit-ground-raised',
  'unit-pin-open',
  'unit-bias-lost',
  'unit-does-not-read',
  'sensor-stuck',
  'sensor-shifted',
  'sensor-gain',
  'sensor-stops',
  'sensor-sticks',
  'wiper-open',
  'track-open',
  'dead-spot',
  'feed-lost-inside',
  'output-lost-inside',
  'output-resistance',
  'track-end-resistance',
  'sensor-loads-reference',
  'thermistor-open',
  'wrong-part',
  'digital-part',
  'other-output',
  ...PHYSICAL_KIND_IDS,
] as const;
export type FaultKindId = (typeof FAULT_KIND_IDS)[number];
