import type { AnyEvidence, OhmsReading } from '../../record/evidence/index.ts';
import type { Lane, ProbePoint } from '../../machine/places/index.ts';
import { samePoint } from '../../machine/places/index.ts';
import { thermistorOhms } from '../../measure/thermistor/index.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import type { IsolatedSensor } from './isolationTests.ts';

/** A resistance of the sensor itself, across two of its pins, with its plug off. */
export interface PinTest {
  from: ProbePoint;
  to: ProbePoint;
  /** What is usual; bounds are common practice, overruled by the maker's data or a known-good part. */
  lowestOhms: number;
  highestOhms: number;
  /** What to do meanwhile, and what it should do. */
  watch: string;
  /** What a value outside means. */
  otherwise: string;
}

const TRACK_OHMS = [1000, 12_000] as const;
const BODY_OHMS = [150, 60_000] as const;
const MOTOR_OHMS = [0.5, 40] as const;
/** A garage is somewhere between these. */
const CELSIUS = [0, 35] as const;

const pin = (lane: Lane): ProbePoint => ({ lane, place: 'pin' });

/** What can be measured of this sensor on the bench, the strongest test first. */
export function pinTests(sensor: IsolatedSensor): PinTest[] {
  const { sensor: model, thermistor } = wiringFor(sensor);
  const { wires, companion } = sensor;
  const tests: PinTest[] = [];
  const add = (
    from: Lane,
    to: Lane,
    [lowestOhms, highestOhms]: readonly [number, number],
    watch: string,
    otherwise: string,
  ) => {
    if (wires.includes(from) && wires.includes(to))
      tests.push({ from: pin(from), to: pin(to), lowestOhms, highestOhms, watch, otherwise });
  };
  const track = (reference: Lane, signal: Lane, back: Lane, name: string) => {
    add(
      reference,
      back,
      TRACK_OHMS,
      'Must not change when the sensor is moved.',
      `OL: ${name} is open end to end, or its feed is lost inside the housing.`,
    );
    add(
      signal,
      back,
      [0, TRACK_OHMS[1]],
      'Move slowly from stop to stop: it must follow without a jump, and never show OL.',
      `OL: the wiper of ${name} has no contact; OL at one place only is a dead spot.`,
    );
    add(
      signal,
      reference,
      [0, TRACK_OHMS[1]],
      'Must go the other way.',
      `OL here and not to the return: ${name} is open at its upper end.`,
    );
  };
  if (model.kind === 'stage') {
    add(
      model.feed,
      'return',
      BODY_OHMS,
      'Compare with a known-good part: makers differ widely.',
      'OL or megohms: the electronics are not connected to their supply; next to nothing: shorted, it pulls the supply down.',
    );
  } else {
    track('reference', 'signal', 'return', model.kind === 'two-tracks' ? 'track 1' : 'the track');
    if (model.kind === 'two-tracks')
      track(
        wires.includes('second-reference') ? 'second-reference' : 'reference',
        'second-signal',
        wires.includes('second-return') ? 'second-return' : 'return',
        'track 2',
      );
  }
  if (thermistor && companion?.kind === 'temperature') {
    const at = (celsius: number) => thermistorOhms(celsius, companion.thermistor);
    add(
      'second-signal',
      'return',
      [at(CELSIUS[1]), at(CELSIUS[0])],
      'Warm it in the hand: the ohms fall.',
      'OL: the thermistor is open; the temperature then reads as cold as it can.',
    );
  }
  add(
    'motor-plus',
    'motor-minus',
    MOTOR_OHMS,
    'Turn the plate a little: brushes may lie on one bad bar.',
    'OL: the winding or a brush is open.',
  );
  return tests;
}

export const pinReading = (
  { from, to }: PinTest,
  readings: readonly AnyEvidence[],
): OhmsReading | undefined =>
  readings.findLast(
    (reading): reading is OhmsReading =>
      reading.kind === 'ohms' &&
      ((samePoint(reading.from, from) && samePoint(reading.to, to)) ||
        (samePoint(reading.from, to) && samePoint(reading.to, from))),
  );

export const pinJudged = (
  { lowestOhms, highestOhms }: PinTest,
  { ohms }: OhmsReading,
): 'usual' | 'low' | 'high' =>
  ohms === null || ohms > highestOhms ? 'high' : ohms < lowestOhms ? 'low' : 'usual';
