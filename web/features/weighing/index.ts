export { useWeighing, type Weighed } from './useWeighing.ts';
