export type { Units } from '@lettura/words';
