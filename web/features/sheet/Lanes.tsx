import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { PLACES, sameTarget, type Lane, type Target } from '@lettura/core/evidence';
import { isPressure } from '@lettura/core/quantity';
import { laneSegments, type CaseFile, type SegmentView } from '@lettura/core/reasoning';
import { Fragment } from 'react';
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
}

const LANE_LABEL: Record<Lane, string> = {
  reference: 'Reference',
  signal: 'Signal',
  return: 'Return',
  'second-signal': 'Signal 2',
  'battery-feed': '12 V feed',
};
const COLUMNS =
  '98px minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr)';

/** The circuit as three lanes from the control unit to the sensor plug, each reading pinned where it was taken. */
export function Lanes({ caseFile, lanes, selected, padOf, onSelect }: LanesProps) {
  const pad = (target: Target) => (
    <ProbePad
      {...padOf(target)}
      selected={onSelect !== undefined && sameTarget(target, selected)}
      {...(onSelect ? { onSelect: () => onSelect(target) } : {})}
    />
  );
  return (
    <Box role="group" aria-label="Circuit from control unit to sensor plug" sx={{ overflowX: 'auto' }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: COLUMNS,
          rowGap: '6px',
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
              <Typography component="span" sx={{ fontWeight: 700 }}>
                {LANE_LABEL[lane]}
              </Typography>
              {lane === 'battery-feed' && (
                <>
                  <Typography variant="body2" sx={{ textAlign: 'center', color: 'text.secondary' }}>
                    from relay or fuse
                  </Typography>
                  <Box sx={{ gridColumn: '3 / 6' }}>
                    <Segment lane={lane} view={feedView(segments)} />
                  </Box>
                  {pad({ kind: 'wire', lane, place: 'plug' })}
                </>
              )}
              {lane !== 'battery-feed' &&
                PLACES.map((place, i) => (
                  <Fragment key={place}>
                    {pad({ kind: 'wire', lane, place })}
                    {segments[i] && <Segment lane={lane} view={segments[i]} />}
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
      </Box>
    </Box>
  );
}

/** The feed passes neither the unit nor the connector: one stretch, known from its end alone. */
const feedView = (segments: readonly SegmentView[]): SegmentView =>
  segments.at(-1) ?? { from: 'unit', to: 'plug', state: 'unknown', readingIds: [] };

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
