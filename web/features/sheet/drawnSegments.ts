import type { Lane } from '@lettura/core/machine/places';
import { laneSegments, type CaseFile, type SegmentView } from '@lettura/core/judge/checks';

/** The stretches of a wire as they are drawn. A feed passes neither the unit nor the connector: one, known from its end alone. */
export function drawnSegments(caseFile: CaseFile, lane: Lane): readonly SegmentView[] {
  const segments = laneSegments(caseFile, lane);
  return lane === 'battery-feed' ? segments.slice(-1).map((last) => ({ ...last, from: 'unit' })) : segments;
}
