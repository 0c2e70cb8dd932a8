import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { LOOM_HIDES } from '@lettura/core/machine/fault';
import { placeInWords, upperFirst, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { drawnSegments } from './drawnSegments.ts';
import { stretchInWords, type LaneStretch } from './Segment.tsx';
import type { Sheet } from './useSheet.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export interface StretchDetailProps extends LaneStretch {
  sheet: Pick<Sheet, 'standing' | 'caseFile'>;
  units: Units;
  onMeasure: () => void;
}

/** What is known of a stretch of wire, by which readings, and where to look. */
export function StretchDetail({ sheet, lane, from, to, units, onMeasure }: StretchDetailProps) {
  const view = drawnSegments(sheet.caseFile, lane).find((one) => one.from === from && one.to === to);
  if (!view) return null;
  const readings = sheet.standing.filter(({ id }) => view.readingIds.includes(id));
  const looking = view.state === 'faulty' || view.state === 'suspect';
  return (
    <>
      <Typography variant="h2">{stretchInWords({ lane, from, to })}</Typography>
      <Typography>
        <strong>
          {upperFirst(
            view.state === 'unknown'
              ? t('ui-sheet.stretch-unknown-yet')
              : t(`ui-sheet.stretch-${view.state}`),
          )}
          .
        </strong>{' '}
        <Said message={view.because} />
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
      {looking && (
        <Typography variant="body2">
          <Said message={LOOM_HIDES} />
        </Typography>
      )}
      {lane !== 'battery-feed' && (
        <Button variant="outlined" onClick={onMeasure} sx={{ mt: 1 }}>
          {t('ui-sheet.measure-wire')}
        </Button>
      )}
    </>
  );
}
