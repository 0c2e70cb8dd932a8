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
import { stored } from '../../app/stored.ts';
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

export interface InstrumentFormProps {
  /** The one to be changed; none for a new one. */
  original?: Instrument | undefined;
  onDone: (saved: Instrument | undefined) => void;
}

/** An instrument's paper: what it can show, how well, and until when that is assured. */
export function InstrumentForm({ original, onDone }: InstrumentFormProps) {
  const { vacuum } = useSelector(selectUnits);
  const start = original ? textOfInstrument(original, vacuum) : emptyInstrument('meter', vacuum);
  const kept = stored(`lettura.instrument-draft.${original?.id ?? 'new'}`, instrumentText, start);
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
      aria-label={original ? `Change ${original.name}` : 'New instrument'}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save(false);
      }}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 560 }}
    >
      <Typography variant="h2" component="h2">
        {original ? `Change ${original.name}` : 'New instrument'}
      </Typography>
      {field('name', 'Name')}
      <TextField
        select
        size="small"
        label="Sort"
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
            ? `Scale from, ${unit} (vacuum is negative)`
            : text.sort === 'meter'
              ? 'Range from, V'
              : 'Range from',
        )}
        {field(
          'highest',
          pressure ? `Scale to, ${unit}` : text.sort === 'meter' ? 'Range to, V' : 'Range to',
        )}
      </Pair>
      {text.sort === 'meter' && (
        <>
          <Pair>
            {field('percent', 'Accuracy, ± % of reading')}
            {field('counts', 'plus counts')}
          </Pair>
          {field('displayCounts', 'The display counts to')}
        </>
      )}
      {pressure && (
        <Pair>
          {field('classPercent', 'Class, % of span')}
          {field('division', `One division, ${unit}`)}
        </Pair>
      )}
      {pressure && (
        <TextField
          select
          size="small"
          label="Its dial can be read to"
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
      {text.sort === 'live-data' && field('step', 'The value moves in steps of (kPa, %, ° or g/s)')}
      <Pair>
        {field('calibratedOn', 'Calibrated on', 'date')}
        {field('calibrationDue', 'Calibration due', 'date')}
      </Pair>
      {field('notes', 'Notes')}
      {refused && (
        <Alert severity="error">
          <SaidProblem problem={refused} />
        </Alert>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button type="submit" variant="contained" disabled={isLoading}>
          Save instrument
        </Button>
        <Button color="inherit" variant="outlined" onClick={() => onDone(undefined)}>
          Back
        </Button>
        {original && (
          <Button color="inherit" disabled={isLoading} onClick={() => void save(!original.retired)}>
            {original.retired ? 'Take back into use' : 'No longer in use'}
          </Button>
        )}
      </Box>
      {original && (
        <Typography variant="body2">Readings keep the accuracy that they were taken with.</Typography>
      )}
    </Box>
  );
}

const Pair = ({ children }: { children: React.ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>{children}</Box>
);
