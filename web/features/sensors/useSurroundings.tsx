import { familyOf } from '@lettura/core/machine/family';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Sensor } from '@lettura/contract';
import { ambientFrom, parseReading, type Ambient } from '@lettura/core/measure/quantity';
import { REFRIGERANTS, type Refrigerant } from '@lettura/core/measure/refrigerant';
import { useState, type ReactNode } from 'react';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { problemSaid, type Problem } from '@lettura/core/measure/problem';
import { said, t } from '../../ui/words.ts';

export interface Surroundings {
  ambient: Ambient | undefined;
  sensorCelsius: number | undefined;
  displacementLitres: number | undefined;
  refrigerant: Refrigerant;
}

/** What the tables of a sensor depend on, and the few fields that ask for it: only those that its family needs. */
export function useSurroundings({ profile, family, companion }: Sensor): {
  surroundings: Surroundings;
  fields: ReactNode;
} {
  const units = useSelector(selectUnits);
  const [text, setText] = useState({ ambient: '101.3 kPa', air: '20', sensor: '25', litres: '1.6' });
  const [refrigerant, setRefrigerant] = useState<Refrigerant>('R-134a');
  const typed = parseReading(text.ambient, units.absolute);
  const air = fieldNumber(text.air, { lowest: -40, highest: 60, unit: '°C' });
  const airCelsius = air.ok ? { airCelsius: air.value } : {};
  const ambient = typed.ok
    ? ambientFrom({ source: 'barometer', stationKpaAbs: typed.value.value, ...airCelsius })
    : typed;
  const sensorTemperature = fieldNumber(text.sensor, { lowest: -60, highest: 200, unit: '°C' });
  const litres = fieldNumber(text.litres, { lowest: 0.05, highest: 50, unit: 'L' });
  const field = (
    name: keyof typeof text,
    label: string,
    read: { ok: true } | { ok: false; problem: Problem },
  ) => (
    <TextField
      size="small"
      label={label}
      value={text[name]}
      onChange={(event) => setText({ ...text, [name]: event.target.value })}
      error={!read.ok}
      helperText={read.ok ? undefined : said(problemSaid(read.problem))}
      sx={{ width: 190 }}
    />
  );
  const { needs } = familyOf(family);
  const wantsAir = needs === 'refrigerant' || companion?.kind === 'temperature';
  const wantsAmbient = profile.measures === 'absolute-pressure' || needs === 'refrigerant';
  return {
    surroundings: {
      ambient: ambient.ok ? ambient.value : undefined,
      sensorCelsius: sensorTemperature.ok ? sensorTemperature.value : undefined,
      displacementLitres: litres.ok ? litres.value : undefined,
      refrigerant,
    },
    fields: (
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {wantsAmbient && field('ambient', t('ui-sensors.ambient-pressure'), ambient)}
        {wantsAir && field('air', t('ui-sensors.air-temperature-c'), air)}
        {profile.tolerance.form === 'temperature-band' &&
          field('sensor', t('ui-sensors.sensor-temperature-c'), sensorTemperature)}
        {needs === 'displacement' && field('litres', t('ui-sensors.displacement-l'), litres)}
        {needs === 'refrigerant' && (
          <TextField
            select
            size="small"
            label={t('ui-sensors.refrigerant')}
            value={refrigerant}
            onChange={(event) => setRefrigerant(event.target.value as Refrigerant)}
            sx={{ width: 150 }}
          >
            {REFRIGERANTS.map((name) => (
              <MenuItem key={name} value={name}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
    ),
  };
}
