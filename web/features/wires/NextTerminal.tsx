import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { readPlugValue, testSaid, type PlugReading, type PlugTest } from '@lettura/core/judge/wireFinder';
import { useState } from 'react';
import { Cautions } from '../../ui/Cautions.tsx';
import { problemSaid } from '@lettura/core/measure/problem';
import { said, t } from '../../ui/words.ts';
import { say } from '@lettura/core/measure/message';
import { Said } from '../../ui/Said.tsx';

const CHOICES = {
  moves: [
    [1, t('ui-wires.it-follows')],
    [0, t('ui-wires.it-stays')],
  ],
  fed: [
    [1, t('ui-wires.sensors-value-follows')],
    [2, t('ui-wires.temperature-follows')],
    [0, t('ui-wires.nothing-follows')],
  ],
} as const;

export interface NextTerminalProps {
  /** Of the terminal, as stamped on the plug. */
  name: string;
  next: { terminal: number; test: PlugTest };
  working: boolean;
  /** Whether one goes on typing here, coming from the one before. */
  isInHand: boolean;
  simulated: ((terminal: number, test: PlugTest) => number) | undefined;
  onMeasured: (reading: PlugReading) => void;
}

/** The measurement that tells most now, and a place to enter it. */
export function NextTerminal({ name, next, working, isInHand, simulated, onMeasured }: NextTerminalProps) {
  const { terminal, test } = next;
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const save = () => {
    if (test === 'moves' || test === 'fed') return;
    const read = readPlugValue(text, test);
    if (read.ok) onMeasured({ terminal, test, value: read.value });
    else setProblem(said(problemSaid(read.problem)));
  };
  return (
    <Box
      component="section"
      aria-label={t('ui-wires.next-measurement')}
      sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 1.25, bgcolor: 'sheet.inset' }}
    >
      <Typography sx={{ fontWeight: 700 }}>{t('ui-wires.next-terminal', { name })}</Typography>
      <Typography variant="body2">
        <Said title message={testSaid(test)} />
      </Typography>
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', mt: 1 }}
      >
        {test === 'moves' || test === 'fed' ? (
          CHOICES[test].map(([value, words]) => (
            <Button
              key={value}
              variant="contained"
              disabled={working}
              onClick={() => onMeasured({ terminal, test, value })}
            >
              {words}
            </Button>
          ))
        ) : (
          <>
            <TextField
              size="small"
              autoFocus={isInHand}
              label={
                test === 'open-ohms'
                  ? t('ui-wires.ohms-terminal', { name })
                  : t('ui-wires.volts-terminal', { name })
              }
              placeholder={test === 'open-ohms' ? t('ui-wires.0-4-470k-ol') : t('ui-wires.4-98-12-mv')}
              value={text}
              onChange={(event) => {
                setText(event.target.value);
                setProblem(undefined);
              }}
              error={problem !== undefined}
              helperText={problem}
              sx={{ width: 260 }}
            />
            <Button type="submit" variant="contained" disabled={working}>
              {t('ui-wires.save')}
            </Button>
          </>
        )}
        {simulated && (
          <Button
            variant="outlined"
            disabled={working}
            onClick={() => onMeasured({ terminal, test, value: simulated(terminal, test) })}
          >
            {t('ui-wires.measure-simulated')}
          </Button>
        )}
      </Box>
      <Cautions cautions={[say(`wire-caution.${test}`)]} />
    </Box>
  );
}
