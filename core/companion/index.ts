export type { Companion } from './companion.ts';
