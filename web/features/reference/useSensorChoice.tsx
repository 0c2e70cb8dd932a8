import type { Sensor } from '@lettura/contract';
import type { ReactNode } from 'react';
import { useListSensorsQuery } from '../../app/api.ts';
import { ChoiceField } from './CalculatorFields.tsx';
import { t } from '../../ui/words.ts';

/** The sensor that a calculator works with, from its address or else the first, and the field that chooses it. */
export function useSensorChoice(
  id: string,
  onChoose: (id: string) => void,
): { sensor: Sensor | undefined; field: ReactNode } {
  const { data: sensors = [] } = useListSensorsQuery();
  const sensor =
    sensors.find((one) => one.id === id) ??
    sensors.find(({ family }) => family === 'manifold-pressure') ??
    sensors[0];
  const options = sensors.map(({ id: value, name }) => ({ value, label: name }));
  return {
    sensor,
    field: (
      <ChoiceField
        label={t('ui-reference.sensor')}
        value={sensor?.id ?? ''}
        options={options}
        onChange={onChoose}
      />
    ),
  };
}
