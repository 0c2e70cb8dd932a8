import { type SensorText } from './sensorText.ts';
import { t } from '../../ui/words.ts';

export const SHAPE_WORDS: Record<SensorText['form'], string> = {
  line: t('ui-sensors.straight-line-fitted'),
  table: t('ui-sensors.through-every-point'),
  polynomial: t('ui-sensors.polynomial-fitted'),
  'hot-element': t('ui-sensors.hot-element-v-b-flow'),
  telegrams: t('ui-sensors.sent-in-telegrams'),
  frequency: t('ui-sensors.sent-as-frequency'),
  duty: t('ui-sensors.sent-as-duty'),
};
