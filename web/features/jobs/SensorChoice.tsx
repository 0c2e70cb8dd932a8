import Autocomplete from '@mui/material/Autocomplete';
import MuiLink from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import type { Sensor } from '@lettura/contract';
import { FAMILIES } from '@lettura/core/machine/family';
import { Link } from 'react-router';
import { searchSensors } from '../sensors/index.ts';
import { said } from '../../ui/words.ts';

/** More are found by typing. */
const MOST_OFFERED = 60;

export interface SensorChoiceProps {
  sensors: readonly Sensor[];
  sensorId: string;
  problem: string | undefined;
  onChoose: (sensorId: string) => void;
  onBlur: () => void;
}

/** The sensor under test, found by a few letters of its name or its family. */
export function SensorChoice({ sensors, sensorId, problem, onChoose, onBlur }: SensorChoiceProps) {
  const offered = (typed: string): Sensor[] => {
    // The name that stands there is the choice, not a search.
    const search = sensors.some(({ name }) => name === typed) ? '' : typed;
    return searchSensors(sensors, search, '').slice(0, MOST_OFFERED);
  };
  return (
    <Autocomplete
      options={sensors}
      groupBy={({ family }) => said(FAMILIES[family].words)}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ id }) => id}
      filterOptions={(_all, { inputValue }) => offered(inputValue)}
      value={sensors.find(({ id }) => id === sensorId) ?? null}
      isOptionEqualToValue={(one, other) => one.id === other.id}
      onChange={(_event, chosen) => onChoose(chosen?.id ?? '')}
      onBlur={onBlur}
      renderInput={(params) => (
        <TextField
          {...params}
          label="Sensor under test"
          error={problem !== undefined}
          helperText={
            problem ?? (
              <>
                Type a few letters, or a family. The maker’s data overrules these values. Not in the list?{' '}
                <MuiLink component={Link} to="/sensors/new" color="inherit">
                  Add it from its points
                </MuiLink>
                ; what is typed here is kept.
              </>
            )
          }
        />
      )}
    />
  );
}
