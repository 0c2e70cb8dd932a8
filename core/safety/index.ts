export { cautionsFor } from './cautions.ts';
