import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Lane } from '@lettura/core/evidence';
import { LOOM_HIDES } from '@lettura/core/fault';
import type { SegmentView } from '@lettura/core/reasoning';
import { placeInWords, upperFirst, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { stretchInWords } from './Segment.tsx';
import type { Sheet } from './useSheet.ts';

export interface StretchDetailProps {
  sheet: Pick<Sheet, 'standing'>;
  lane: Lane;
  view: SegmentView;
  units: Units;
  onMeasure: () => void;
}

/** What is known of a stretch of wire, by which readings, and where to look. */
export function StretchDetail({ sheet, lane, view, units, onMeasure }: StretchDetailProps) {
  const readings = sheet.standing.filter(({ id }) => view.readingIds.includes(id));
  const looking = view.state === 'faulty' || view.state === 'suspect';
  return (
    <>
      <Typography variant="h2">{stretchInWords(lane, view)}</Typography>
      <Typography>
        <strong>{upperFirst(view.state === 'unknown' ? 'not known yet' : view.state)}.</strong> {view.because}
      </Typography>
      {readings.length > 0 && (
        <ul style={{ margin: '4px 0', paddingLeft: 20 }}>
          {readings.map((reading) => (
            <li key={reading.id}>
              {placeInWords(reading)}: {valueInWords(reading, units)}
            </li>
          ))}
        </ul>
      )}
      {looking && <Typography variant="body2">{LOOM_HIDES}</Typography>}
      {lane !== 'battery-feed' && (
        <Button variant="outlined" onClick={onMeasure} sx={{ mt: 1 }}>
          Measure this wire
        </Button>
      )}
    </>
  );
}
