import {
  expectedAirflowGramsPerSecond,
  idleRuleGramsPerSecond,
  volumeFlowLitresPerSecond,
} from '@lettura/core/measure/airflow';
import {
  fromGramsPerSecond,
  fromKpa,
  MASS_FLOW_UNITS,
  TEMPERATURE_UNITS,
  toKelvin,
  toKpa,
  SEA_LEVEL_KPA,
} from '@lettura/core/measure/quantity';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Calculator, ChoiceField, chosen, NumberField, type Outcome } from './CalculatorFields.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { useFields } from './useFields.ts';
import { t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';

const DEFAULTS = {
  litres: '1.6',
  revs: '800',
  pressure: '32',
  temperature: '40',
  scale: '°C',
  efficiency: '75',
  unit: 'g/s',
};

/** The conditions that a volume is stated at. */
const NORMAL_AIR = { pressureKpaAbs: SEA_LEVEL_KPA, temperatureKelvin: 293.15 } as const;

/** What a flow meter should read by speed and density, beside the litres rule of thumb. */
export function AirflowCalculator() {
  const { values, set } = useFields(DEFAULTS);
  const { absolute } = useSelector(selectUnits);
  const unit = chosen(values.unit, MASS_FLOW_UNITS);
  const scale = chosen(values.scale, TEMPERATURE_UNITS);
  const litres = fieldNumber(values.litres, { lowest: 0.05, highest: 50, unit: 'L' });
  const revs = fieldNumber(values.revs, { lowest: 50, highest: 15_000, unit: '1/min' });
  const pressure = fieldNumber(values.pressure, {
    lowest: 0,
    highest: Math.round(fromKpa(500, absolute)),
    unit: absolute,
  });
  const temperature = fieldNumber(
    values.temperature,
    scale === 'K'
      ? { lowest: 230, highest: 420, unit: scale }
      : { lowest: -40, highest: scale === '°C' ? 150 : 300, unit: scale },
  );
  const efficiency = fieldNumber(values.efficiency, { lowest: 5, highest: 150, unit: '%' });
  const outcomes: Outcome[] = [];
  const show = (gramsPerSecond: number) => fromGramsPerSecond(gramsPerSecond, unit).toFixed(2);
  if (litres.ok && revs.ok && pressure.ok && temperature.ok && efficiency.ok) {
    const flow = expectedAirflowGramsPerSecond({
      displacementLitres: litres.value,
      revsPerMinute: revs.value,
      pressureKpaAbs: toKpa(pressure.value, absolute),
      temperatureKelvin: toKelvin(temperature.value, scale),
      volumetricEfficiency: efficiency.value / 100,
    });
    const rule = idleRuleGramsPerSecond(litres.value);
    outcomes.push(
      { label: t('ui-reference.speed-density'), value: `${show(flow)} ${unit}` },
      {
        label: t('ui-reference.same-volume'),
        value: `${volumeFlowLitresPerSecond(flow, NORMAL_AIR).toFixed(2)} L/s`,
        note: t('ui-reference.drawn-20-c-kpa', { sealevelkpa: SEA_LEVEL_KPA }),
      },
      {
        label: t('ui-reference.warm-idle-litres-rule'),
        value: t('ui-reference.to', {
          lowest: show(rule.lowest),
          highest: show(rule.highest),
          unit: verbatim(unit),
        }),
        note: t('ui-reference.common-practice-about-engines-litres'),
      },
    );
  }
  return (
    <Calculator
      title={t('ui-reference.airflow')}
      outcomes={outcomes}
      about={t('ui-reference.four-stroke-ve-displacement-speed')}
      fields={
        <>
          <NumberField
            label={t('ui-reference.displacement-l')}
            value={values.litres}
            onChange={(value) => set('litres', value)}
            read={litres}
          />
          <NumberField
            label={t('ui-reference.engine-speed-1-min')}
            value={values.revs}
            onChange={(value) => set('revs', value)}
            read={revs}
          />
          <NumberField
            label={t('ui-reference.manifold-pressure-absolute', { absolute: verbatim(absolute) })}
            value={values.pressure}
            onChange={(value) => set('pressure', value)}
            read={pressure}
          />
          <NumberField
            label={t('ui-reference.air-temperature', { scale: verbatim(scale) })}
            value={values.temperature}
            onChange={(value) => set('temperature', value)}
            read={temperature}
          />
          <ChoiceField
            label={t('ui-reference.temperature-scale')}
            value={scale}
            options={TEMPERATURE_UNITS}
            onChange={(value) => set('scale', value)}
          />
          <NumberField
            label={t('ui-reference.volumetric-efficiency')}
            value={values.efficiency}
            onChange={(value) => set('efficiency', value)}
            read={efficiency}
          />
          <ChoiceField
            label={t('ui-reference.show-in')}
            value={unit}
            options={MASS_FLOW_UNITS}
            onChange={(value) => set('unit', value)}
          />
        </>
      }
    />
  );
}
