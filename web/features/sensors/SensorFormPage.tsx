import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 } from 'uuid';
import type { Sensor } from '@lettura/contract';
import { useCreateSensorMutation, useSensorVersionsQuery } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { useSettled } from '../../ui/useSettled.ts';
import { CurveFields } from './CurveFields.tsx';
import { FitView } from './FitView.tsx';
import { IdentityFields, MoreFields } from './IdentityFields.tsx';
import { LimitFields } from './LimitFields.tsx';
import { emptySensor, readSensorText, sensorDraft, type SensorText } from './sensorText.ts';
import { textOfSensor } from './textOfSensor.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** A sensor of one's own: new, a copy of another, or a new version of one. */
export default function SensorFormPage({ purpose }: { purpose: 'new' | 'copy' | 'change' }) {
  const { sensorId = '' } = useParams();
  const { data, error } = useSensorVersionsQuery(sensorId, { skip: purpose === 'new' });
  const units = useSelector(selectUnits);
  if (purpose === 'new')
    return <SensorForm title={t('ui-sensors.new-sensor')} draft="new" start={emptySensor(units.absolute)} />;
  if (error) return <Trouble {...requestProblem(error)} />;
  const sensor = data?.[0];
  if (!sensor) return <Loading what={t('ui-sensors.the-sensor')} />;
  const text = textOfSensor(sensor, units.absolute);
  return purpose === 'change' ? (
    <SensorForm
      key={sensor.id}
      title={t('ui-sensors.change-2', { name: sensor.name })}
      draft={sensor.id}
      start={text}
      original={sensor}
      replaces={sensor.id}
    />
  ) : (
    <SensorForm
      key={sensor.id}
      title={t('ui-sensors.copy-of', { name: sensor.name })}
      draft={`copy-${sensor.id}`}
      start={{ ...text, name: `${sensor.name}, copy` }}
      original={sensor}
    />
  );
}

/** Some hundred points; shorter ones are read at every letter. */
const LONG_TEXT = 5000;

interface SensorFormProps {
  title: string;
  /** Under which half a form is kept. */
  draft: string;
  start: SensorText;
  original?: Sensor;
  replaces?: string;
}

function SensorForm({ title, draft, start, original, replaces }: SensorFormProps) {
  const kept = sensorDraft(draft);
  const [text, setText] = useState(() => kept.load() ?? start);
  const [tried, setTried] = useState(false);
  const [createSensor, { error, isLoading }] = useCreateSensorMutation();
  const navigate = useNavigate();
  const id = useRef(v7());
  // A table of ten thousand points is read when the typing rests, so that the typing itself never waits.
  const shown = useSettled(text, text.points.length > LONG_TEXT ? 400 : 0);
  const { unit } = text;
  const base = useMemo(
    () => original && { sensor: original, text: textOfSensor(original, unit) },
    [original, unit],
  );
  const reading = useMemo(() => readSensorText(shown, base), [shown, base]);
  const { problems } = reading;
  const view = useMemo(
    () => reading.profile && <FitView {...reading} profile={reading.profile} unit={unit} form={shown.form} />,
    [reading, unit, shown.form],
  );
  useEffect(() => {
    document.title = `${title} · Lettura`;
  }, [title]);

  const change = (part: Partial<SensorText>) => {
    const next = { ...text, ...part };
    setText(next);
    kept.save(next);
  };
  const save = async () => {
    setTried(true);
    const { sensor } = readSensorText(text, base);
    if (!sensor) return;
    const saved = await createSensor({ id: id.current, ...sensor, ...(replaces ? { replaces } : {}) });
    if ('error' in saved) {
      // A refused id means that another try under it had other words: the next try is a new record.
      if (requestProblem(saved.error).code === 'id-conflict') id.current = v7();
      return;
    }
    kept.clear();
    await navigate(`/sensors/${id.current}`);
  };
  const refused = error ? requestProblem(error) : undefined;
  const fields = { text, change, problems: tried ? problems : {}, live: problems };

  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={title} />
      <Box component="main" sx={{ p: 2, maxWidth: 1240, mx: 'auto' }}>
        <Box
          component="form"
          aria-label={title}
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: 'minmax(300px, 440px) 1fr' },
            gap: 3,
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'sheet.rule',
            borderRadius: 1,
            p: 2,
          }}
        >
          <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start', minWidth: 0 }}>
            <IdentityFields {...fields} />
            <CurveFields {...fields} />
            <LimitFields {...fields} />
          </Box>
          <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start', minWidth: 0 }}>
            {view ?? (
              <Typography sx={{ py: 4 }}>{t('ui-sensors.curve-appears-once-there-enough')}</Typography>
            )}
            <MoreFields {...fields} />
            {tried && Object.keys(problems).length > 0 && (
              <Alert severity="error">{t('ui-sensors.not-saved-yet-look-marked')}</Alert>
            )}
            {refused && (
              <Alert severity="error">
                <SaidProblem problem={refused} />
              </Alert>
            )}
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              <Button type="submit" variant="contained" size="large" disabled={isLoading}>
                {replaces ? t('ui-sensors.save-new-version') : t('ui-sensors.save-sensor')}
              </Button>
              <Button
                color="inherit"
                variant="outlined"
                onClick={() => {
                  kept.clear();
                  setText(start);
                  setTried(false);
                }}
              >
                {t('ui-sensors.start-again')}
              </Button>
              <Button color="inherit" component={Link} to={`/sensors/${original?.id ?? ''}`}>
                {t('ui-sensors.back-library')}
              </Button>
            </Box>
            {replaces && (
              <Typography variant="body2">{t('ui-sensors.jobs-keep-version-they-were')}</Typography>
            )}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
