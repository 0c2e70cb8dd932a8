import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { PLACES, sameTarget, type HarnessWork, type Lane, type Target } from '@lettura/core/evidence';
import { isPressure } from '@lettura/core/quantity';
import { laneSegments, type CaseFile, type SegmentView } from '@lettura/core/reasoning';
import { Fragment, type ReactNode } from 'react';
import { ClipLeads } from './ClipLeads.tsx';
import { ProbePad, type ProbePadProps } from './ProbePad.tsx';
import { Segment } from './Segment.tsx';

export interface LanesProps {
  caseFile: CaseFile;
  /** The three wires, and those that this body has besides. */
  lanes: readonly Lane[];
  selected: Target;
  /** What a pad shows; the sheet and the report pin different things on the same lanes. */
  padOf: (target: Target) => Omit<ProbePadProps, 'selected' | 'onSelect'>;
  onSelect?: (target: Target) => void;
  /** What is clipped on, drawn where it is. */
  harness?: HarnessWork | undefined;
  /** What is known of a stretch, shown on demand. */
  stretch?: (lane: Lane, view: SegmentView, close: () => void) => ReactNode;
}

const LANE_LABEL: Record<Lane, string> = {
  reference: 'Reference',
  signal: 'Signal',
  return: 'Return',
  'second-signal': 'Signal 2',
  'battery-feed': '12 V feed',
  'second-reference': 'Reference 2',
  'second-return': 'Return 2',
  'motor-plus': 'Motor +',
  'motor-minus': 'Motor −',
};
const COLUMNS =
  '106px minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr)';
/** With more wires than this the rows close up, so that the section in hand keeps its room. */
const ROOMY_LANES = 4;

/** The circuit as lanes from the control unit to the sensor plug, each reading pinned where it was taken. */
export function Lanes({ caseFile, lanes, selected, padOf, onSelect, harness, stretch }: LanesProps) {
  const close = lanes.length > ROOMY_LANES;
  const heightPx = close ? 44 : 54;
  const ownRails = lanes.includes('second-reference');
  const pad = (target: Target) => (
    <ProbePad
      {...padOf(target)}
      heightPx={heightPx}
      point={target.kind === 'wire' ? `${target.lane}:${target.place}` : undefined}
      selected={onSelect !== undefined && sameTarget(target, selected)}
      {...(onSelect ? { onSelect: () => onSelect(target) } : {})}
    />
  );
  const segment = (lane: Lane, view: SegmentView) => (
    <Segment
      lane={lane}
      view={view}
      heightPx={heightPx}
      detail={stretch && ((done) => stretch(lane, view, done))}
    />
  );
  return (
    <Box role="group" aria-label="Circuit from control unit to sensor plug" sx={{ overflowX: 'auto' }}>
      <Box
        sx={{
          position: 'relative',
          display: 'grid',
          gridTemplateColumns: COLUMNS,
          rowGap: close ? '3px' : '6px',
          alignItems: 'center',
          minWidth: 640,
          p: '3px',
        }}
      >
        <span />
        <ColumnHead>Control unit</ColumnHead>
        <span />
        <ColumnHead>Inline connector</ColumnHead>
        <span />
        <ColumnHead>Sensor plug</ColumnHead>
        {lanes.map((lane) => {
          const segments = laneSegments(caseFile, lane);
          return (
            <Fragment key={lane}>
              <Typography component="span" sx={{ fontWeight: 700, lineHeight: 1.1 }}>
                {LANE_LABEL[lane]}
                {lane === 'reference' && (
                  <Box component="span" sx={{ display: 'block', fontSize: '0.72rem', fontWeight: 400 }}>
                    {ownRails ? 'own rail' : 'shared rail'}
                  </Box>
                )}
              </Typography>
              {lane === 'battery-feed' && (
                <>
                  <Typography variant="body2" sx={{ textAlign: 'center', color: 'text.secondary' }}>
                    from relay or fuse
                  </Typography>
                  <Box sx={{ gridColumn: '3 / 6' }}>{segment(lane, feedView(segments))}</Box>
                  {pad({ kind: 'wire', lane, place: 'plug' })}
                </>
              )}
              {lane !== 'battery-feed' &&
                PLACES.map((place, i) => (
                  <Fragment key={place}>
                    {pad({ kind: 'wire', lane, place })}
                    {segments[i] && segment(lane, segments[i])}
                  </Fragment>
                ))}
            </Fragment>
          );
        })}
        <Typography component="span" sx={{ fontWeight: 700, lineHeight: 1.15 }}>
          Beside the wires
        </Typography>
        {pad({ kind: 'scan' })}
        <span />
        {caseFile.family === 'manifold-pressure' ? pad({ kind: 'gauge', tap: 'manifold' }) : <span />}
        <span />
        {isPressure(caseFile.profile.measures) && pad({ kind: 'gauge', tap: 'sensor-hose' })}
        {harness && harness.attachments.length > 0 && <ClipLeads attachments={harness.attachments} />}
      </Box>
    </Box>
  );
}

/** The feed passes neither the unit nor the connector: one stretch, known from its end alone. */
function feedView(segments: readonly SegmentView[]): SegmentView {
  const last = segments.at(-1);
  if (!last) throw new Error('Every lane has two segments.');
  return { ...last, from: 'unit' };
}

function ColumnHead({ children }: { children: string }) {
  return (
    <Typography
      component="span"
      variant="body2"
      sx={{ textAlign: 'center', color: 'text.secondary', fontWeight: 600 }}
    >
      {children}
    </Typography>
  );
}
