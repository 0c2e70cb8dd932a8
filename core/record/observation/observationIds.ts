/** What is looked at rather than measured. */
export const OBSERVATION_IDS = [
  'plug-contacts',
  'hose',
  'hose-holds',
  'hose-routing',
  'arm',
  'duct',
  'element',
  'stumbles',
  'valve-holds',
  'solenoid',
  'part-number',
  'code-low',
  'code-high',
  'code-supply',
  'code-fed',
] as const;
export type ObservationId = (typeof OBSERVATION_IDS)[number];
