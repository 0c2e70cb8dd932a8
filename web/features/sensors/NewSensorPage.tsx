import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { BIASES } from '@lettura/core/transfer';
import { formatPressure, KPA_PER_UNIT } from '@lettura/core/quantity';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useSelector } from 'react-redux';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { useCreateSensorMutation } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { NUMERALS } from '../../app/theme.ts';
import { Loading } from '../../ui/Centred.tsx';
import { readSensorText, sensorDraft, type SensorText } from './sensorText.ts';

const CurveChart = lazy(() => import('./CurveChart.tsx'));

/** A sensor of one's own, from points of a data sheet, a known-good part or a pump sweep. */
export default function NewSensorPage() {
  const units = useSelector(selectUnits);
  const [text, setText] = useState(() => sensorDraft.load());
  const [tried, setTried] = useState(false);
  const [createSensor, { error, isLoading }] = useCreateSensorMutation();
  const navigate = useNavigate();
  const id = useRef(v7());
  const { problems, points, fit, profile, sensor } = readSensorText(text, units.absolute);
  useEffect(() => {
    document.title = 'New sensor · Lettura';
  }, []);

  const change = (part: Partial<SensorText>) => {
    const next = { ...text, ...part };
    setText(next);
    sensorDraft.save(next);
  };
  const field = (name: Exclude<keyof SensorText, 'form' | 'ratiometric'>, label: string) => ({
    label,
    value: text[name],
    onChange: (event: { target: { value: string } }) => change({ [name]: event.target.value }),
    error: tried && problems[name] !== undefined,
    helperText: tried ? problems[name] : undefined,
  });
  const save = async () => {
    setTried(true);
    if (!sensor) return;
    const saved = await createSensor({ id: id.current, ...sensor });
    if ('error' in saved) return;
    sensorDraft.clear();
    await navigate(`/sensors/${id.current}`);
  };
  const refused = error ? requestProblem(error) : undefined;
  // Points are read as they are typed: a slip in line 3 is told while line 4 is being written.
  const pointsProblem = text.points.trim() === '' && !tried ? undefined : problems.points;

  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title="New sensor" />
      <Box component="main" sx={{ p: 2, maxWidth: 1240, mx: 'auto' }}>
        <Box
          component="form"
          aria-label="New sensor"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: 'minmax(300px, 420px) 1fr' },
            gap: 3,
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'sheet.rule',
            borderRadius: 1,
            p: 2,
          }}
        >
          <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
            <TextField {...field('name', 'Name')} />
            <TextField
              {...field('source', 'Where the points come from')}
              placeholder="Data sheet, known-good part, pump sweep …"
            />
            <TextField
              {...field('points', `Points: ${units.absolute} absolute and volts, one pair a line`)}
              multiline
              minRows={5}
              maxRows={9}
              placeholder={'20 0.50\n60 1.95\n100 3.30'}
              error={pointsProblem !== undefined}
              helperText={pointsProblem}
              slotProps={{ htmlInput: { style: { fontFamily: NUMERALS } } }}
            />
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label="Shape of the curve"
              value={text.form}
              onChange={(_event, form: SensorText['form'] | null) => form && change({ form })}
            >
              <ToggleButton value="line">Straight line</ToggleButton>
              <ToggleButton value="table">Through every point</ToggleButton>
            </ToggleButtonGroup>
            <FormControlLabel
              control={
                <Switch
                  checked={text.ratiometric}
                  onChange={(event) => change({ ratiometric: event.target.checked })}
                />
              }
              label="The output follows the reference"
            />
            <TextField {...field('reference', 'Reference in V, when the points were noted')} />
            <TextField {...field('tolerance', `Tolerance, ± ${units.absolute}`)} />
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
              <TextField {...field('circuitLow', 'Circuit low below, V')} />
              <TextField {...field('circuitHigh', 'Circuit high above, V')} />
            </Box>
            <TextField select {...field('bias', 'Open input at the control unit')}>
              {BIASES.map((bias) => (
                <MenuItem key={bias} value={bias}>
                  {bias}
                </MenuItem>
              ))}
            </TextField>
          </Box>
          <Box sx={{ minWidth: 0 }}>
            {profile ? (
              <Suspense fallback={<Loading what="the curve" />}>
                <CurveChart
                  profile={profile}
                  unit={units.absolute}
                  points={points}
                  doubtful={fit?.doubtful}
                />
              </Suspense>
            ) : (
              <Typography sx={{ py: 4 }}>The curve appears once there are enough points.</Typography>
            )}
            {fit && text.form === 'line' && points.length > 2 && (
              <Typography variant="body2">
                The points scatter about the line by {(fit.scatterVolts * 1000).toFixed(0)} mV (
                {formatPressure(Math.abs(fit.scatterVolts / fit.voltsPerKpa), units.absolute)}); in the middle
                the line itself is known to ±
                {(2 * fit.standardUncertaintyVoltsAt(middle(points)) * 1000).toFixed(0)} mV (k = 2).
              </Typography>
            )}
            {fit?.doubtful !== undefined && points[fit.doubtful] && (
              <Alert severity="warning" sx={{ mt: 1 }}>
                The point {(points[fit.doubtful]!.kpaAbs / KPA_PER_UNIT[units.absolute]).toFixed(1)}{' '}
                {units.absolute}, {points[fit.doubtful]!.volts.toFixed(3)} V does not fit the others: it is{' '}
                {(fit.residualVolts[fit.doubtful]! * 1000).toFixed(0)} mV off the line. Check it; it is still
                used.
              </Alert>
            )}
            {refused && (
              <Alert severity="error" sx={{ mt: 1 }}>
                {refused.message} {refused.next}
              </Alert>
            )}
            <Button type="submit" variant="contained" size="large" disabled={isLoading} sx={{ mt: 2 }}>
              Save sensor
            </Button>
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

const middle = (points: readonly { kpaAbs: number }[]): number =>
  points.reduce((sum, { kpaAbs }) => sum + kpaAbs, 0) / points.length;
