import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { LANES, PLACES, sameTarget, type Lane, type Target } from '@lettura/core/evidence';
import { laneSegments, type CaseFile } from '@lettura/core/reasoning';
import { Fragment } from 'react';
import { ProbePad, type ProbePadProps } from './ProbePad.tsx';
import { Segment } from './Segment.tsx';

export interface LanesProps {
  caseFile: CaseFile;
  selected: Target;
  /** What a pad shows; the sheet and the report pin different things on the same lanes. */
  padOf: (target: Target) => Omit<ProbePadProps, 'selected' | 'onSelect'>;
  onSelect?: (target: Target) => void;
}

const LANE_LABEL: Record<Lane, string> = { reference: 'Reference', signal: 'Signal', return: 'Return' };
const COLUMNS =
  '98px minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr)';

/** The circuit as three lanes from the control unit to the sensor plug, each reading pinned where it was taken. */
export function Lanes({ caseFile, selected, padOf, onSelect }: LanesProps) {
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
        {LANES.map((lane) => {
          const segments = laneSegments(caseFile, lane);
          return (
            <Fragment key={lane}>
              <Typography component="span" sx={{ fontWeight: 700 }}>
                {LANE_LABEL[lane]}
              </Typography>
              {PLACES.map((place, i) => (
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
        {pad({ kind: 'gauge', tap: 'manifold' })}
        <span />
        {pad({ kind: 'gauge', tap: 'sensor-hose' })}
      </Box>
    </Box>
  );
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
