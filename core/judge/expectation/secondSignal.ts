import { fixed, plain, say, type Message } from '../../measure/message/index.ts';
import { pairLimitPercent, type Companion, type SecondTrack } from '../../measure/companion/index.ts';
import { pairDeviation } from '../../measure/positionPair/index.ts';
import { temperatureSignalVolts } from '../../measure/thermistor/index.ts';

/** A sensor in the engine bay is seldom just as warm as the air (common practice). */
const AIR_AND_SENSOR_KELVIN = 8;

export interface VoltBand {
  lowest: number;
  highest: number;
  reason: Message;
}

/** The supply that both tracks stand in. */
export interface PairSupply {
  referenceVolts: number;
  /** How far the reference may be off that, where nobody read it. */
  referenceDoubtVolts: number;
  /** Of both tracks, where they share it. */
  returnVolts: number;
}

/** Track 2 from what track 1 reads, or from where track 1 should be. */
export function expectedSecondTrack(
  companion: SecondTrack,
  firstVolts: readonly number[],
  { referenceVolts, referenceDoubtVolts, returnVolts }: PairSupply,
  measured: boolean,
): VoltBand {
  const { pair, separateFeeds } = companion;
  // What track 1 should be is said against its return; what it reads has the return in it.
  const shift = measured && !separateFeeds ? returnVolts : 0;
  const ends = [-referenceDoubtVolts, referenceDoubtVolts].flatMap((off) => {
    const supply = referenceVolts + off - shift;
    return firstVolts.map(
      (volts) => shift + pairDeviation(volts - shift, 0, supply, pair).expectedSecondVolts,
    );
  });
  const limitPercent = pairLimitPercent(companion);
  const slack = (limitPercent / 100) * referenceVolts;
  const limit = say('expectation.within-limit', {
    percent: plain(limitPercent, '%'),
    usual: companion.limitPercentOfReference === undefined,
    unread: referenceDoubtVolts > 0 && pair.law === 'mirrored',
  });
  return {
    lowest: Math.max(Math.min(...ends) - slack, 0),
    highest: Math.min(Math.max(...ends) + slack, referenceVolts + referenceDoubtVolts),
    reason: measured
      ? say('expectation.track-1-reads-here', { first: fixed(firstVolts[0] as number, 2, 'V'), limit })
      : say('expectation.where-track-1-should', { limit }),
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
    reason: say('expectation.air-c-cold-engine-about', {
      air: plain(airCelsius, '°C'),
      within: plain(AIR_AND_SENSOR_KELVIN, '°C'),
    }),
  };
}
