export { useWeighing, type Weighed } from './useWeighing.ts';
export { useWeighed, WeighingProvider } from './WeighingProvider.tsx';
