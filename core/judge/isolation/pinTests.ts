import { say, type Message } from '../../measure/message/index.ts';
import type { Lane, ProbePoint } from '../../machine/places/index.ts';
import { thermistorOhms } from '../../measure/thermistor/index.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import type { IsolatedSensor } from './isolatedSensor.ts';

/** A resistance of the sensor itself, across two of its pins, with its plug off. */
export interface PinTest {
  from: ProbePoint;
  to: ProbePoint;
  /** What is usual; bounds are common practice, overruled by the maker's data or a known-good part. */
  lowestOhms: number;
  highestOhms: number;
  /** What to do meanwhile, and what it should do. */
  watch: Message;
  /** What a value outside means. */
  otherwise: Message;
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
    watch: Message,
    otherwise: Message,
  ) => {
    if (wires.includes(from) && wires.includes(to))
      tests.push({ from: pin(from), to: pin(to), lowestOhms, highestOhms, watch, otherwise });
  };
  const track = (reference: Lane, signal: Lane, back: Lane, track: Message) => {
    add(
      reference,
      back,
      TRACK_OHMS,
      say('isolation.must-not-change-when-sensor'),
      say('isolation.ol-open-end-end-feed', { track }),
    );
    add(
      signal,
      back,
      [0, TRACK_OHMS[1]],
      say('isolation.move-slowly-stop-stop-must'),
      say('isolation.ol-wiper-no-contact-ol', { track }),
    );
    add(
      signal,
      reference,
      [0, TRACK_OHMS[1]],
      say('isolation.must-go-other-way'),
      say('isolation.ol-here-not-return-open', { track }),
    );
  };
  if (model.kind === 'stage') {
    add(
      model.feed,
      'return',
      BODY_OHMS,
      say('isolation.compare-known-good-part-makers'),
      say('isolation.ol-megohms-electronics-not-connected'),
    );
  } else {
    track(
      'reference',
      'signal',
      'return',
      model.kind === 'two-tracks' ? say('site.track-of-two', { track: 1 }) : say('site.only-track'),
    );
    if (model.kind === 'two-tracks')
      track(
        wires.includes('second-reference') ? 'second-reference' : 'reference',
        'second-signal',
        wires.includes('second-return') ? 'second-return' : 'return',
        say('site.track-of-two', { track: 2 }),
      );
  }
  if (thermistor && companion?.kind === 'temperature') {
    const at = (celsius: number) => thermistorOhms(celsius, companion.thermistor);
    add(
      'second-signal',
      'return',
      [at(CELSIUS[1]), at(CELSIUS[0])],
      say('isolation.warm-hand-ohms-fall'),
      say('isolation.ol-thermistor-open-temperature-then'),
    );
  }
  add(
    'motor-plus',
    'motor-minus',
    MOTOR_OHMS,
    say('isolation.turn-plate-little-brushes-may'),
    say('isolation.ol-winding-brush-open'),
  );
  return tests;
}
