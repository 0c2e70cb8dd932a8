import Autocomplete from '@mui/material/Autocomplete';
import MuiLink from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import type { Sensor } from '@lettura/contract';
import { FAMILIES } from '@lettura/core/machine/family';
import { Link } from 'react-router';
import { searchSensors } from '../sensors/index.ts';
import { said, t } from '../../ui/words.ts';

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
      openText={t('ui-jobs.open-list')}
      closeText={t('ui-jobs.close-list')}
      clearText={t('ui-jobs.clear-choice')}
      noOptionsText={t('ui-jobs.no-such-sensor')}
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
          label={t('ui-jobs.sensor-under-test')}
          error={problem !== undefined}
          helperText={
            problem ?? (
              <>
                {t('ui-jobs.type-few-letters-family-makers')}{' '}
                <MuiLink component={Link} to="/sensors/new" color="inherit">
                  {t('ui-jobs.add-points')}
                </MuiLink>
                {t('ui-jobs.typed-here-kept')}
              </>
            )
          }
        />
      )}
    />
  );
}
