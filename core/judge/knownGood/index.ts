export { knownGoodOf, type KnownGood, type ProvenValue } from './knownGood.ts';
