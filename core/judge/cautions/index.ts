export { cautionsFor, LOOM_CAUTION } from './cautions.ts';
