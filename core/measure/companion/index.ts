export { pairLimitPercent, type Companion, type SecondTrack } from './companion.ts';
