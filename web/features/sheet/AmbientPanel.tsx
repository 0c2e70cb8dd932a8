import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  ambientFrom,
  formatPressure,
  type AmbientSource,
  type PressureUnit,
} from '@lettura/core/measure/quantity';
import { useState } from 'react';
import {
  AmbientFields,
  ambientInText,
  emptyAmbient,
  readAmbient,
  type AmbientText,
} from '../ambient/index.ts';
import { said, t } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';

export interface AmbientPanelProps {
  unit: PressureUnit;
  onEnter: (ambient: AmbientSource, text: string) => void;
}

export function AmbientPanel({ unit, onEnter }: AmbientPanelProps) {
  const [text, setText] = useState<AmbientText>(() => emptyAmbient(unit));
  const [problem, setProblem] = useState<string>();
  const read = readAmbient(text);
  const resulting = read.ok ? ambientFrom(read.value) : undefined;
  return (
    <Box
      component="form"
      aria-label={t('ui-sheet.ambient-pressure')}
      onSubmit={(event) => {
        event.preventDefault();
        if (!read.ok) return setProblem(said(problemSaid(read.problem)));
        setProblem(undefined);
        onEnter(read.value, ambientInText(text));
      }}
    >
      <Typography variant="h2">{t('ui-sheet.ambient-pressure-place')}</Typography>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        {t('ui-sheet.connects-absolute-pressure-vacuum-sensor')}
      </Typography>
      <AmbientFields value={text} onChange={setText} problem={problem} />
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 1.5 }}>
        <Button type="submit" variant="contained">
          {t('ui-sheet.save-ambient-pressure')}
        </Button>
        {resulting?.ok && (
          <Typography>
            {t('ui-sheet.here', {
              pressureKpaAbs: formatPressure(resulting.value.pressureKpaAbs, unit),
              expandedUncertaintyKpa: formatPressure(resulting.value.expandedUncertaintyKpa, unit),
            })}
          </Typography>
        )}
      </Box>
    </Box>
  );
}
