import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { sensorFileOf, type Sensor } from '@lettura/contract';
import { FAMILIES } from '@lettura/core/machine/family';
import { formatValue, formatWithBasis } from '@lettura/core/measure/quantity';
import { lazy, Suspense } from 'react';
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

const CurveChart = lazy(() => import('./CurveChart.tsx'));

const BIAS_WORDS = {
  'pull-up': 'pulled up: about the reference with the plug off',
  'pull-down': 'pulled down: about 0 V with the plug off',
  unknown: 'not known',
} as const;

/** What the profile says of its electronics, where it does. */
const madeFor = ({ outputVolts, supplyVolts }: Sensor['profile']): string =>
  [
    outputVolts
      ? ` The output stops at ${outputVolts.lowest} V and ${outputVolts.highest} V: a reading there is a bound.`
      : '',
    supplyVolts ? ` Made for ${supplyVolts.lowest} to ${supplyVolts.highest} V of supply.` : '',
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
  const file = name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Box>
        <Typography variant="h2" component="h2">
          {name}
        </Typography>
        <Typography variant="body2">
          <Said message={FAMILIES[family].words} />. {source}. Version {sensor.version}
          {newest && newest.version > sensor.version ? (
            <>
              , an old one: <Link to={`/sensors/${newest.id}`}>go to version {newest.version}</Link>
            </>
          ) : (
            ''
          )}
          . The maker’s data overrules these values.
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" color="inherit" component={Link} to={`/sensors/${sensor.id}/change`}>
          Change
        </Button>
        <Button variant="outlined" color="inherit" component={Link} to={`/sensors/${sensor.id}/copy`}>
          Duplicate
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          onClick={() =>
            downloadText(`${file}.json`, 'application/json', JSON.stringify(sensorFileOf([sensor]), null, 2))
          }
        >
          Export JSON
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          onClick={() => downloadText(`${file}.csv`, 'text/csv', pointsToCsv(profile, units.absolute))}
        >
          Curve as CSV
        </Button>
      </Box>
      <Suspense fallback={<Loading what="the curve" />}>
        <CurveChart
          profile={profile}
          unit={units.absolute}
          points={profile.transfer.form === 'table' ? profile.transfer.points : []}
          sensorCelsius={surroundings.sensorCelsius}
        />
      </Suspense>
      <Typography variant="body2">
        {lawInWords(profile)} Range {show(profile.lowest)} to{' '}
        {formatWithBasis(profile.highest, profile.measures, units.absolute)},{' '}
        {toleranceInWords(profile, units)}. Reference {profile.nominalReferenceVolts.toFixed(2)} V, output{' '}
        {follows ? 'follows the reference' : 'does not follow the reference'}. Circuit low below{' '}
        {profile.circuitLowVolts.toFixed(2)} V, high above {profile.circuitHighVolts.toFixed(2)} V. Input{' '}
        {BIAS_WORDS[profile.bias]}.{madeFor(profile)} A difference of {show(profile.differenceThatMatters)}{' '}
        matters.
      </Typography>
      {fields}
      <StimulusRows sensor={sensor} surroundings={surroundings} units={units} />
      <ExpectedStates sensor={sensor} surroundings={surroundings} units={units} />
      {companion && <CompanionFacts companion={companion} profile={profile} />}
      {pins.length > 0 && (
        <Box>
          <Typography variant="h3" component="h3">
            Plug
          </Typography>
          <PinsTable pins={pins} />
        </Box>
      )}
      {(notes || FAMILIES[family].notes.length > 0) && (
        <Box>
          <Typography variant="h3" component="h3">
            Trade notes
          </Typography>
          <Box component="ul" sx={{ pl: 2.5, my: 0.5 }}>
            {notes && <li>{notes}</li>}
            {FAMILIES[family].notes.map((note) => (
              <li key={note.code}>
                <Said message={note} /> (common practice)
              </li>
            ))}
          </Box>
        </Box>
      )}
      {versions.length > 1 && (
        <Typography variant="body2">
          Versions:{' '}
          {versions.map(({ id, version }, i) => (
            <span key={id}>
              {i > 0 && ', '}
              {id === sensor.id ? version : <Link to={`/sensors/${id}`}>{version}</Link>}
            </span>
          ))}
          . Jobs keep the one they were done with.
        </Typography>
      )}
    </Box>
  );
}
