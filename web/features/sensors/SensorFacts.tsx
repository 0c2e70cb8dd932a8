import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { sensorFileOf, type Sensor } from '@lettura/contract';
import { FAMILIES } from '@lettura/core/machine/family';
import { isSent } from '@lettura/core/measure/transfer';
import { formatValue, formatWithBasis } from '@lettura/core/measure/quantity';
import { Suspense } from 'react';
import { useSelector } from 'react-redux';
import { Link } from 'react-router';
import { useSensorVersionsQuery } from '../../app/api.ts';
import { selectUnits } from '../../app/preferences.ts';
import { Loading } from '../../ui/Centred.tsx';
import { downloadText } from '../../ui/downloadText.ts';
import { CompanionFacts } from './CompanionFacts.tsx';
import { ExpectedStates } from './ExpectedStates.tsx';
import { lawInWords } from './FitView.tsx';
import { PinsTable } from './PinsTable.tsx';
import { pointsToCsv } from './pointsCsv.ts';
import { StimulusRows } from './StimulusRows.tsx';
import { toleranceInWords } from './toleranceInWords.ts';
import { useSurroundings } from './useSurroundings.tsx';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { CurveChart } from './lazyCurveChart.ts';

const BIAS_WORDS = {
  'pull-up': t('ui-sensors.pulled-up-about-reference-plug'),
  'pull-down': t('ui-sensors.pulled-down-about-0-v'),
  unknown: t('ui-sensors.not-known'),
} as const;

/** What the profile says of its electronics, where it does. */
const madeFor = ({ outputVolts, supplyVolts }: Sensor['profile']): string =>
  [
    outputVolts
      ? t('ui-sensors.output-stops-v-v-reading', { lowest: outputVolts.lowest, highest: outputVolts.highest })
      : '',
    supplyVolts
      ? t('ui-sensors.made-v-supply', { lowest: supplyVolts.lowest, highest: supplyVolts.highest })
      : '',
  ].join('');

/** One sensor: its curve and limits, its plug, and what it should read in each state and at each stimulus. */
export function SensorFacts({ sensor }: { sensor: Sensor }) {
  const { profile, name, source, family, notes, pins, companion } = sensor;
  const { data: versions = [] } = useSensorVersionsQuery(sensor.id);
  const newest = versions[0];
  const units = useSelector(selectUnits);
  const { surroundings, fields } = useSurroundings(sensor);
  const show = (value: number) => formatValue(value, profile.measures, units.absolute);
  const follows =
    profile.transfer.form === 'ratiometric' ||
    ('ratiometric' in profile.transfer && profile.transfer.ratiometric);
  const hasNoVolts = isSent(profile);
  const which = hasNoVolts
    ? t('ui-sensors.goes-to-and-fro')
    : follows
      ? t('ui-sensors.follows-reference')
      : t('ui-sensors.does-not-follow-reference');
  const file = name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Box>
        <Typography variant="h2" component="h2">
          {name}
        </Typography>
        <Typography variant="body2">
          <Said message={FAMILIES[family].words} />
          {t('ui-sensors.version', { source, version: sensor.version })}
          {newest && newest.version > sensor.version ? (
            <>
              {t('ui-sensors.old-one')}{' '}
              <Link to={`/sensors/${newest.id}`}>
                {t('ui-sensors.go-version', { version: newest.version })}
              </Link>
            </>
          ) : (
            ''
          )}
          {t('ui-sensors.makers-data-overrules-these-values')}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" color="inherit" component={Link} to={`/sensors/${sensor.id}/change`}>
          {t('ui-sensors.change')}
        </Button>
        <Button variant="outlined" color="inherit" component={Link} to={`/sensors/${sensor.id}/readings`}>
          {t('ui-sensors.readings-with-it')}
        </Button>
        <Button variant="outlined" color="inherit" component={Link} to={`/sensors/${sensor.id}/copy`}>
          {t('ui-sensors.duplicate')}
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          onClick={() =>
            downloadText(`${file}.json`, 'application/json', JSON.stringify(sensorFileOf([sensor]), null, 2))
          }
        >
          {t('ui-sensors.export-json')}
        </Button>
        {!hasNoVolts && (
          <Button
            variant="outlined"
            color="inherit"
            onClick={() => downloadText(`${file}.csv`, 'text/csv', pointsToCsv(profile, units.absolute))}
          >
            {t('ui-sensors.curve-csv')}
          </Button>
        )}
      </Box>
      {!hasNoVolts && (
        <Suspense fallback={<Loading what={t('ui-sensors.the-curve')} />}>
          <CurveChart
            profile={profile}
            unit={units.absolute}
            points={profile.transfer.form === 'table' ? profile.transfer.points : []}
            sensorCelsius={surroundings.sensorCelsius}
          />
        </Suspense>
      )}
      <Typography variant="body2">
        {t('ui-sensors.range-reference-v-output-circuit', {
          law: lawInWords(profile, units.absolute),
          lowest: show(profile.lowest),
          highest: formatWithBasis(profile.highest, profile.measures, units.absolute),
          tolerance: toleranceInWords(profile, units),
          nominalReferenceVolts: profile.nominalReferenceVolts.toFixed(2),
          which,
          circuitLowVolts: profile.circuitLowVolts.toFixed(2),
          circuitHighVolts: profile.circuitHighVolts.toFixed(2),
          biaswords: BIAS_WORDS[profile.bias],
          madeFor: madeFor(profile),
          differenceThatMatters: show(profile.differenceThatMatters),
        })}
      </Typography>
      {fields}
      {!hasNoVolts && <StimulusRows sensor={sensor} surroundings={surroundings} units={units} />}
      <ExpectedStates sensor={sensor} surroundings={surroundings} units={units} />
      {companion && <CompanionFacts companion={companion} profile={profile} />}
      {pins.length > 0 && (
        <Box>
          <Typography variant="h3" component="h3">
            {t('ui-sensors.plug')}
          </Typography>
          <PinsTable pins={pins} />
        </Box>
      )}
      {(notes || FAMILIES[family].notes.length > 0) && (
        <Box>
          <Typography variant="h3" component="h3">
            {t('ui-sensors.trade-notes')}
          </Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
            {notes && <li>{notes}</li>}
            {FAMILIES[family].notes.map(({ says }) => (
              <li key={says.code}>
                <Said message={says} /> {t('ui-sensors.common-practice')}
              </li>
            ))}
          </Box>
        </Box>
      )}
      {versions.length > 1 && (
        <Typography variant="body2">
          {t('ui-sensors.versions')}{' '}
          {versions.map(({ id, version }, i) => (
            <span key={id}>
              {i > 0 && ', '}
              {id === sensor.id ? version : <Link to={`/sensors/${id}`}>{version}</Link>}
            </span>
          ))}
          {t('ui-sensors.jobs-keep-one-they-were')}
        </Typography>
      )}
    </Box>
  );
}
