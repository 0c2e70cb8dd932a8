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
import { said } from '../../ui/words.ts';
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
      aria-label="Ambient pressure"
      onSubmit={(event) => {
        event.preventDefault();
        if (!read.ok) return setProblem(said(problemSaid(read.problem)));
        setProblem(undefined);
        onEnter(read.value, ambientInText(text));
      }}
    >
      <Typography variant="h2">Ambient pressure at this place</Typography>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        It connects absolute pressure with vacuum, and is what the sensor must show with the engine stopped.
      </Typography>
      <AmbientFields value={text} onChange={setText} problem={problem} />
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 1.5 }}>
        <Button type="submit" variant="contained">
          Save ambient pressure
        </Button>
        {resulting?.ok && (
          <Typography>
            {formatPressure(resulting.value.pressureKpaAbs, unit)} here (±
            {formatPressure(resulting.value.expandedUncertaintyKpa, unit)})
          </Typography>
        )}
      </Box>
    </Box>
  );
}
