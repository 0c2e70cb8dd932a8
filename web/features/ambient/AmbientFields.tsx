import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import {
  ambientFrom,
  AMBIENT_SOURCES,
  formatPressure,
  PRESSURE_UNITS,
  type AmbientSource,
  type PressureUnit,
} from '@lettura/core/measure/quantity';
import { readAmbient, type AmbientText } from './readAmbient.ts';
import { t } from '../../ui/words.ts';

const SOURCE_LABEL = {
  barometer: t('ui-ambient.barometer-here'),
  vehicle: t('ui-ambient.vehicles-barometer'),
  altitude: t('ui-ambient.altitude'),
  weather: t('ui-ambient.weather-report'),
} as const;

export interface AmbientFieldsProps {
  value: AmbientText;
  onChange: (value: AmbientText) => void;
  problem?: string | undefined;
}

/** What was understood, in the unit that everything is kept in: a wrong unit shows here before it is saved. */
function asRead(text: AmbientText): string | undefined {
  const read = readAmbient(text);
  const ambient = read.ok ? ambientFrom(read.value) : undefined;
  if (!read.ok || !ambient?.ok) return undefined;
  const metres =
    'altitudeM' in read.value ? t('ui-ambient.at-m', { altitudeM: Math.round(read.value.altitudeM) }) : '';
  return t('ui-ambient.absolute-here', {
    pressureKpaAbs: formatPressure(ambient.value.pressureKpaAbs, 'kPa'),
    metres,
  });
}

/** Three ways to come by the pressure of this place. */
export function AmbientFields({ value, onChange, problem }: AmbientFieldsProps) {
  const { source, pressure, altitude, unit, air } = value;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={t('ui-ambient.where-ambient-pressure-comes')}
        value={source}
        onChange={(_event, chosen: AmbientSource['source'] | null) =>
          chosen && onChange({ ...value, source: chosen })
        }
      >
        {AMBIENT_SOURCES.map((name) => (
          <ToggleButton key={name} value={name}>
            {SOURCE_LABEL[name]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {source !== 'altitude' && (
        <>
          <TextField
            size="small"
            label={`${source === 'weather' ? t('ui-ambient.pressure-sea-level') : t('ui-ambient.station-pressure')}, ${unit}`}
            value={pressure}
            onChange={(event) => onChange({ ...value, pressure: event.target.value })}
            error={problem !== undefined}
            helperText={problem ?? asRead(value)}
            sx={{ width: 230 }}
          />
          <TextField
            select
            size="small"
            label={t('ui-ambient.unit')}
            value={unit}
            onChange={(event) => onChange({ ...value, unit: event.target.value as PressureUnit })}
            sx={{ width: 110 }}
          >
            {PRESSURE_UNITS.map((name) => (
              <MenuItem key={name} value={name}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        </>
      )}
      {(source === 'altitude' || source === 'weather') && (
        <TextField
          size="small"
          label={t('ui-ambient.altitude-m-ft')}
          value={altitude}
          onChange={(event) => onChange({ ...value, altitude: event.target.value })}
          error={problem !== undefined && source === 'altitude'}
          helperText={source === 'altitude' ? (problem ?? asRead(value)) : undefined}
          sx={{ width: 190 }}
        />
      )}
      <TextField
        size="small"
        label={t('ui-ambient.air-c-if-known')}
        value={air}
        onChange={(event) => onChange({ ...value, air: event.target.value })}
        sx={{ width: 150 }}
      />
    </Box>
  );
}
