import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  LANES,
  PLACES,
  sameTarget,
  type HarnessWork,
  type Lane,
  type Place,
  type Target,
  GAUGE_TAPS,
  type GaugeTap,
} from '@lettura/core/machine/places';
import { usualTap } from '@lettura/core/machine/family';
import { isPressure } from '@lettura/core/measure/quantity';
import type { CaseFile, SegmentView } from '@lettura/core/judge/checks';
import { Fragment } from 'react';
import { ClipLeads } from './ClipLeads.tsx';
import { drawnSegments } from './drawnSegments.ts';
import type { PadShows } from './padOf.ts';
import { ProbePad } from './ProbePad.tsx';
import { Segment, type SegmentProps } from './Segment.tsx';
import { t } from '../../ui/words.ts';

export interface LanesProps {
  caseFile: CaseFile;
  /** The three wires, and those that this body has besides. */
  lanes: readonly Lane[];
  selected: Target;
  /** What a pad shows; the sheet and the report pin different things on the same lanes. */
  padOf: (target: Target) => PadShows;
  onSelect?: (target: Target) => void;
  /** What is clipped on, drawn where it is. */
  harness?: HarnessWork | undefined;
  /** What is known of a stretch was asked for. */
  onAsk?: SegmentProps['onAsk'];
  /** As full as a table of readings, or one line a wire and one mark a point. */
  form?: LanesForm | undefined;
}

/** `strip` and `thumb` are one line a wire: beside a table, and for a phone. */
export type LanesForm = 'full' | 'strip' | 'thumb';

const LANE_LABEL: Record<Lane, string> = {
  reference: t('ui-sheet.reference'),
  signal: t('ui-sheet.signal'),
  return: t('ui-sheet.return'),
  'second-signal': 'Signal 2',
  'battery-feed': '12 V feed',
  'second-reference': 'Reference 2',
  'second-return': 'Return 2',
  'motor-plus': 'Motor +',
  'motor-minus': 'Motor −',
};
const COLUMNS =
  '106px minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr) minmax(56px, 1fr) minmax(104px, 1.2fr)';
const STRIP_COLUMNS = '106px minmax(0, 1fr) 44px minmax(0, 1fr) 44px minmax(0, 1fr)';
const THUMB_COLUMNS = '74px minmax(0, 1fr) 18px minmax(0, 1fr) 18px minmax(0, 1fr)';
const COLUMNS_OF: Record<LanesForm, string> = { full: COLUMNS, strip: STRIP_COLUMNS, thumb: THUMB_COLUMNS };
/** Made once: a pad that shows the same as before is not drawn anew. */
const WIRE_POINTS = Object.fromEntries(
  LANES.map((lane) => [
    lane,
    Object.fromEntries(PLACES.map((place) => [place, { kind: 'wire', lane, place }])),
  ]),
) as Record<Lane, Record<Place, Target>>;
const LIVE_DATA: Target = { kind: 'scan' };
const SECOND_LIVE: Target = { kind: 'live-volts', lane: 'second-signal' };
const GAUGES = Object.fromEntries(GAUGE_TAPS.map((tap) => [tap, { kind: 'gauge', tap }])) as Record<
  GaugeTap,
  Target
>;
/** With more wires than this the rows close up, so that the section in hand keeps its room. */
const ROOMY_LANES = 4;

/** The circuit as lanes from the control unit to the sensor plug, each reading pinned where it was taken. */
export function Lanes(props: LanesProps) {
  const { caseFile, lanes, selected, padOf, onSelect, harness, onAsk, form = 'full' } = props;
  const compact = form !== 'full';
  const close = compact || lanes.length > ROOMY_LANES;
  const heightPx = form === 'thumb' ? 48 : form === 'strip' ? 34 : close ? 44 : 54;
  const hasPair = caseFile.companion?.kind === 'second-track' && lanes.includes('second-signal');
  const ownRails = lanes.includes('second-reference');
  const pad = (target: Target) => (
    <ProbePad
      {...padOf(target)}
      target={target}
      heightPx={heightPx}
      compact={compact}
      selected={onSelect !== undefined && sameTarget(target, selected)}
      onSelect={onSelect}
    />
  );
  const segment = (lane: Lane, { from, to, state }: SegmentView) => (
    <Segment {...{ lane, from, to, state, heightPx, compact, onAsk }} />
  );
  return (
    <Box role="group" aria-label={t('ui-sheet.circuit-control-unit-sensor-plug')} sx={{ overflowX: 'auto' }}>
      <Box
        sx={{
          position: 'relative',
          display: 'grid',
          gridTemplateColumns: COLUMNS_OF[form],
          rowGap: close ? '3px' : '6px',
          alignItems: 'center',
          minWidth: compact ? 0 : 640,
          p: '3px',
        }}
      >
        <span />
        <ColumnHead>{t('ui-sheet.control-unit')}</ColumnHead>
        <span />
        <ColumnHead>{t('ui-sheet.inline-connector')}</ColumnHead>
        <span />
        <ColumnHead>{t('ui-sheet.sensor-plug')}</ColumnHead>
        {lanes.map((lane) => {
          const segments = drawnSegments(caseFile, lane);
          return (
            <Fragment key={lane}>
              <Typography
                component="span"
                sx={{ fontWeight: 700, lineHeight: 1.1, fontSize: compact ? '0.88rem' : undefined }}
              >
                {LANE_LABEL[lane]}
                {lane === 'reference' && !compact && (
                  <Box component="span" sx={{ display: 'block', fontSize: '0.72rem', fontWeight: 400 }}>
                    {ownRails ? t('ui-sheet.own-rail') : t('ui-sheet.shared-rail')}
                  </Box>
                )}
              </Typography>
              {lane === 'battery-feed' && (
                <>
                  <Typography variant="body2" sx={{ textAlign: 'center', color: 'text.secondary' }}>
                    {t('ui-sheet.relay-fuse')}
                  </Typography>
                  <Box sx={{ gridColumn: '3 / 6' }}>{segments.map((view) => segment(lane, view))}</Box>
                  {pad(WIRE_POINTS[lane].plug)}
                </>
              )}
              {lane !== 'battery-feed' &&
                PLACES.map((place, i) => (
                  <Fragment key={place}>
                    {pad(WIRE_POINTS[lane][place])}
                    {segments[i] && segment(lane, segments[i])}
                  </Fragment>
                ))}
            </Fragment>
          );
        })}
        <Typography
          component="span"
          sx={{ fontWeight: 700, lineHeight: 1.15, fontSize: compact ? '0.88rem' : undefined }}
        >
          {t('ui-sheet.beside-wires')}
        </Typography>
        {pad(LIVE_DATA)}
        <span />
        {caseFile.family === 'manifold-pressure' ? (
          pad(GAUGES.manifold)
        ) : hasPair ? (
          pad(SECOND_LIVE)
        ) : (
          <span />
        )}
        <span />
        {isPressure(caseFile.profile.measures) && pad(GAUGES[usualTap(caseFile.family)])}
        {harness && harness.attachments.length > 0 && <ClipLeads attachments={harness.attachments} />}
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
