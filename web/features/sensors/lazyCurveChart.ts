import { lazy } from 'react';

/** The curve of a sensor; its drawing is loaded once one is shown. */
export const CurveChart = lazy(() => import('./CurveChart.tsx'));
