export const CIRCUMSTANCE_IDS = ['sensor-replaced', 'loom-damaged', 'worked-on', 'old-part'] as const;
export type CircumstanceId = (typeof CIRCUMSTANCE_IDS)[number];
