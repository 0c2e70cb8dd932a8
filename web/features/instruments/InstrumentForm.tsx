import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { INSTRUMENT_SORTS, type Instrument, type InstrumentSort } from '@lettura/contract';
import { useRef, useState } from 'react';
import { useSelector } from 'react-redux';
import { v7 } from 'uuid';
import { useCreateInstrumentMutation } from '../../app/api.ts';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { ownDraft } from '../../app/stored.ts';
import {
  DIAL_READ_TO,
  emptyInstrument,
  instrumentText,
  readInstrumentText,
  textOfInstrument,
  type InstrumentText,
} from './instrumentText.ts';
import { READ_TO_WORDS, SORT_WORDS } from './instrumentWords.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';

export interface InstrumentFormProps {
  /** The one to be changed; none for a new one. */
  original?: Instrument | undefined;
  onDone: (saved: Instrument | undefined) => void;
}

/** An instrument's paper: what it can show, how well, and until when that is assured. */
export function InstrumentForm({ original, onDone }: InstrumentFormProps) {
  const { vacuum } = useSelector(selectUnits);
  const start = original ? textOfInstrument(original, vacuum) : emptyInstrument('meter', vacuum);
  const kept = ownDraft(`lettura.instrument-draft.${original?.id ?? 'new'}`, instrumentText, start);
  const [text, setText] = useState(() => kept.load());
  const [tried, setTried] = useState(false);
  const [createInstrument, { error, isLoading }] = useCreateInstrumentMutation();
  const id = useRef(v7());
  const { problems, instrument } = readInstrumentText(text);
  const { unit } = text;
  const change = (part: Partial<InstrumentText>) => {
    const next = { ...text, ...part };
    setText(next);
    kept.save(next);
  };
  const save = async (retired: boolean) => {
    setTried(true);
    if (!instrument) return;
    const replaces = original ? { replaces: original.id } : {};
    const saved = await createInstrument({ id: id.current, ...instrument, retired, ...replaces });
    if ('error' in saved) {
      // A refused id means that another try under it had other words: the next try is a new record.
      if (requestProblem(saved.error).code === 'id-conflict') id.current = v7();
      return;
    }
    kept.clear();
    onDone(saved.data);
  };
  const refused = error ? requestProblem(error) : undefined;
  const field = (name: Exclude<keyof InstrumentText, 'sort' | 'readTo'>, label: string, type = 'text') => (
    <TextField
      size="small"
      type={type}
      label={label}
      value={text[name]}
      onChange={(event) => change({ [name]: event.target.value })}
      error={tried && problems[name] !== undefined}
      helperText={tried ? problems[name] : undefined}
      slotProps={type === 'date' ? { inputLabel: { shrink: true } } : {}}
    />
  );
  const pressure = text.sort === 'gauge' || text.sort === 'hand-pump';
  return (
    <Box
      component="form"
      aria-label={
        original ? t('ui-instruments.change', { name: original.name }) : t('ui-instruments.new-instrument')
      }
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save(false);
      }}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 560 }}
    >
      <Typography variant="h2" component="h2">
        {original ? t('ui-instruments.change', { name: original.name }) : t('ui-instruments.new-instrument')}
      </Typography>
      {field('name', t('ui-instruments.name'))}
      <TextField
        select
        size="small"
        label={t('ui-instruments.sort')}
        value={text.sort}
        disabled={original !== undefined}
        onChange={(event) => {
          const sort = event.target.value as InstrumentSort;
          const { name, notes, calibratedOn, calibrationDue } = text;
          change({ ...emptyInstrument(sort, unit), name, notes, calibratedOn, calibrationDue });
        }}
      >
        {INSTRUMENT_SORTS.map((sort) => (
          <MenuItem key={sort} value={sort}>
            {SORT_WORDS[sort]}
          </MenuItem>
        ))}
      </TextField>
      <Pair>
        {field(
          'lowest',
          pressure
            ? t('ui-instruments.scale-vacuum-negative', { unit: verbatim(unit) })
            : text.sort === 'meter'
              ? t('ui-instruments.range-v')
              : t('ui-instruments.range-from'),
        )}
        {field(
          'highest',
          pressure
            ? t('ui-instruments.scale-to', { unit: verbatim(unit) })
            : text.sort === 'meter'
              ? t('ui-instruments.range-v-2')
              : t('ui-instruments.range-to'),
        )}
      </Pair>
      {text.sort === 'meter' && (
        <>
          <Pair>
            {field('percent', t('ui-instruments.accuracy-reading'))}
            {field('counts', t('ui-instruments.plus-counts'))}
          </Pair>
          {field('displayCounts', t('ui-instruments.display-counts'))}
        </>
      )}
      {pressure && (
        <Pair>
          {field('classPercent', t('ui-instruments.class-span'))}
          {field('division', t('ui-instruments.one-division', { unit: verbatim(unit) }))}
        </Pair>
      )}
      {pressure && (
        <TextField
          select
          size="small"
          label={t('ui-instruments.dial-can-read')}
          value={text.readTo}
          onChange={(event) => change({ readTo: event.target.value as InstrumentText['readTo'] })}
        >
          {DIAL_READ_TO.map((readTo) => (
            <MenuItem key={readTo} value={readTo}>
              {READ_TO_WORDS[readTo]}
            </MenuItem>
          ))}
        </TextField>
      )}
      {text.sort === 'live-data' && field('step', t('ui-instruments.value-moves-steps-kpa-g'))}
      <Pair>
        {field('calibratedOn', t('ui-instruments.calibrated-on'), 'date')}
        {field('calibrationDue', t('ui-instruments.calibration-due'), 'date')}
      </Pair>
      {field('notes', 'Notes')}
      {refused && (
        <Alert severity="error">
          <SaidProblem problem={refused} />
        </Alert>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button type="submit" variant="contained" disabled={isLoading}>
          {t('ui-instruments.save-instrument')}
        </Button>
        <Button color="inherit" variant="outlined" onClick={() => onDone(undefined)}>
          {t('ui-instruments.back')}
        </Button>
        {original && (
          <Button color="inherit" disabled={isLoading} onClick={() => void save(!original.retired)}>
            {original.retired ? t('ui-instruments.take-back-into-use') : t('ui-instruments.no-longer-use')}
          </Button>
        )}
      </Box>
      {original && (
        <Typography variant="body2">{t('ui-instruments.readings-keep-accuracy-they-were')}</Typography>
      )}
    </Box>
  );
}

const Pair = ({ children }: { children: React.ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>{children}</Box>
);
