export { useWeighing, type Weighed } from './useWeighing.ts';
export { NewerIsKnown, useIsSettled, useWeighed, WeighingProvider } from './WeighingProvider.tsx';
