import type { Companion } from '../companion/index.ts';
import { pairDeviation, PAIR_LIMIT_PERCENT_OF_REFERENCE } from '../positionPair/index.ts';
import { temperatureSignalVolts } from '../thermistor/index.ts';

/** A sensor in the engine bay is seldom just as warm as the air (common practice). */
const AIR_AND_SENSOR_KELVIN = 8;

export interface VoltBand {
  lowest: number;
  highest: number;
  reason: string;
}

/** Track 2 from what track 1 reads, or from where track 1 should be. */
export function expectedSecondTrack(
  { pair }: Extract<Companion, { kind: 'second-track' }>,
  firstVolts: readonly number[],
  referenceVolts: number,
  measured: boolean,
): VoltBand {
  const ends = firstVolts.map((volts) => pairDeviation(volts, 0, referenceVolts, pair).expectedSecondVolts);
  const slack = (PAIR_LIMIT_PERCENT_OF_REFERENCE / 100) * referenceVolts;
  return {
    lowest: Math.min(...ends) - slack,
    highest: Math.max(...ends) + slack,
    reason: measured
      ? `From track 1, which reads ${(firstVolts[0] as number).toFixed(2)} V here, within ${PAIR_LIMIT_PERCENT_OF_REFERENCE} % of the reference.`
      : `From where track 1 should be, within ${PAIR_LIMIT_PERCENT_OF_REFERENCE} % of the reference.`,
  };
}

/** A cold engine's sensors are about as warm as the air; the colder, the higher the volts. */
export function expectedTemperatureSignal(
  companion: Extract<Companion, { kind: 'temperature' }>,
  airCelsius: number,
  referenceVolts: number,
): VoltBand {
  const at = (celsius: number) => temperatureSignalVolts(celsius, referenceVolts, companion);
  return {
    lowest: at(airCelsius + AIR_AND_SENSOR_KELVIN),
    highest: at(airCelsius - AIR_AND_SENSOR_KELVIN),
    reason: `The air is at ${airCelsius} °C, and a cold engine is about as warm (± ${AIR_AND_SENSOR_KELVIN} °C).`,
  };
}
