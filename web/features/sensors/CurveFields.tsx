import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { FAMILIES } from '@lettura/core/machine/family';
import type { SecondColumn } from '@lettura/core/record/entry';
import { type Measurand, measurandSaid } from '@lettura/core/measure/quantity';
import { useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { FaultList } from './FaultList.tsx';
import { bound, type FieldsProps } from './fieldProps.ts';
import { pointsFromCsv, type CsvReading } from './pointsCsv.ts';
import { MOST_POINTS_WORDS, SECOND_COLUMN, type SensorText } from './sensorText.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { unitInWords } from '../../ui/unitInWords.ts';
import { SHAPE_WORDS } from './shapeWords.ts';

const PLACEHOLDERS: Record<SecondColumn, string> = {
  volts: '20 0.50\n60 1.95\n100 3.30',
  steps: '0 193\n180 3896',
  hertz: '20 80\n60 95.5\n100 120',
  percent: '20 10\n60 42.5\n100 90',
};

/** The points and the shape that is fitted to them. */
export function CurveFields(props: FieldsProps) {
  const { text, change, problems, live } = props;
  const [csv, setCsv] = useState<CsvReading>();
  // Points are read as they are typed: a slip in line 3 is told while line 4 is being written.
  const problem = text.points.trim() === '' ? problems.points : live.points;
  const { measures } = FAMILIES[text.family];
  const second = SECOND_COLUMN[text.form];
  const isSent = second !== undefined;
  const unit = unitInWords(text.measures, text.unit);
  const choose = async (file: File) => {
    const read = pointsFromCsv(await file.text());
    setCsv(read);
    if (read.ok) change({ points: read.text });
  };
  return (
    <>
      {measures.length > 1 && (
        <TextField
          select
          label={t('ui-sensors.it-measures')}
          value={text.measures}
          onChange={(event) => change({ measures: event.target.value as Measurand })}
        >
          {measures.map((name) => (
            <MenuItem key={name} value={name}>
              <Said message={measurandSaid(name)} />
            </MenuItem>
          ))}
        </TextField>
      )}
      <TextField
        label={
          second === 'steps'
            ? t('ui-sensors.points-steps-one-pair-line', { unit })
            : second === 'hertz'
              ? t('ui-sensors.points-hertz-one-pair-line', { unit })
              : second === 'percent'
                ? t('ui-sensors.points-percent-one-pair-line', { unit })
                : t('ui-sensors.points-volts-one-pair-line', { unit })
        }
        value={text.points}
        onChange={(event) => change({ points: event.target.value })}
        multiline
        placeholder={PLACEHOLDERS[second ?? 'volts']}
        error={problem !== undefined}
        helperText={
          problem ??
          (second === 'steps'
            ? t('ui-sensors.two-ends-of-the-range')
            : isSent
              ? t('ui-sensors.two-points-or-more')
              : t('ui-sensors.points', { mostpointswords: MOST_POINTS_WORDS }))
        }
        slotProps={{
          // A field that measures its own height measures all ten thousand lines at every letter.
          input: { inputComponent: 'textarea' },
          htmlInput: { rows: 7, style: { fontFamily: NUMERALS, resize: 'vertical' }, spellCheck: false },
        }}
      />
      <FileButton accept=".csv,.tsv,.txt,text/csv" onFile={(file) => void choose(file)}>
        {t('ui-sensors.points-csv-file')}
      </FileButton>
      {csv && !csv.ok && (
        <Alert severity="error" onClose={() => setCsv(undefined)}>
          {csv.message}
          <FaultList faults={csv.faults} />
        </Alert>
      )}
      <TextField
        select
        label={t('ui-sensors.shape-curve')}
        value={text.form}
        onChange={(event) => {
          const form = event.target.value as SensorText['form'];
          change({
            form,
            ...(form === 'hot-element' || SECOND_COLUMN[form] ? { ratiometric: false } : {}),
          });
        }}
      >
        {Object.entries(SHAPE_WORDS).map(([form, words]) => (
          <MenuItem key={form} value={form}>
            {words}
          </MenuItem>
        ))}
      </TextField>
      {text.form === 'polynomial' && (
        <TextField
          select
          label={t('ui-sensors.degree')}
          value={text.degree}
          onChange={(event) => change({ degree: event.target.value as SensorText['degree'] })}
        >
          {(['2', '3', '4', '5'] as const).map((degree) => (
            <MenuItem key={degree} value={degree}>
              {degree}
            </MenuItem>
          ))}
        </TextField>
      )}
      {text.form !== 'hot-element' && !isSent && (
        <FormControlLabel
          control={
            <Switch
              checked={text.ratiometric}
              onChange={(event) => change({ ratiometric: event.target.checked })}
            />
          }
          label={t('ui-sensors.output-follows-reference')}
        />
      )}
      <Box>
        <TextField
          {...bound(
            props,
            'reference',
            isSent ? t('ui-sensors.reference-v') : t('ui-sensors.reference-v-when-points-were'),
          )}
          fullWidth
        />
      </Box>
    </>
  );
}
