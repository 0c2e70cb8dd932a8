export {
  columnsIn,
  frameOf,
  MARGIN,
  paintAcross,
  paintValues,
  useInk,
  type Frame,
  type Ink,
  type Range,
} from './axes.ts';
export { niceTicks, roomyDomain } from './niceTicks.ts';
export { paintBand } from './paintBand.ts';
export { extremesOf, paintEnvelope, type Columns } from './paintEnvelope.ts';
export { paintMarks } from './paintMarks.ts';
export { paintRulers } from './paintRulers.ts';
export { PlotCanvas } from './PlotCanvas.tsx';
export { useLivePainter, usePainter, type Surface } from './usePainter.ts';
