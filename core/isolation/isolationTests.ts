import type { Companion } from '../companion/index.ts';
import { source } from '../circuit/index.ts';
import { effectsOf, FAULT_KINDS, faultOf, situate, type Fault } from '../fault/index.ts';
import type { FamilyId } from '../family/index.ts';
import { signalBand, valueFromSignal, type SensorProfile } from '../transfer/index.ts';
import { BATTERY_NEGATIVE, Wiring, wiringFor, type Wire } from '../wiring/index.ts';

/** The sensor of a job, as far as its circuit goes. */
export interface IsolatedSensor {
  family: FamilyId;
  profile: SensorProfile;
  companion?: Companion | undefined;
  wires: readonly Wire[];
}

/** Volts against battery negative where the test is read, and all that would give them. */
export interface IsolationAnswer {
  lowestVolts: number;
  highestVolts: number;
  /** Whether wire, supply and unit are in order up to the plug if this is read. */
  sound: boolean;
  /** What gives it, in words, each kind of fault once; beside a sound answer, what this test cannot tell from sound. */
  meanings: readonly string[];
}

export interface IsolationTest {
  id: 'unplug' | 'bridge-return' | 'bridge-reference' | 'substitute' | 'jumper';
  name: string;
  /** What to do, and where to read. */
  how: string;
  caution: string;
  answers: readonly IsolationAnswer[];
  /** What live data shows while all is well; undefined where the unit sees a lost signal. */
  liveValue: number | undefined;
}

interface Recipe extends Pick<IsolationTest, 'id' | 'name' | 'how' | 'caution'> {
  plugged: boolean;
  /** Where the signal is read. */
  readAt: 'plug' | 'unit';
  needs: readonly Wire[];
  attach(wiring: Wiring, bench: { sourceNode: number }): void;
}

export const SUBSTITUTE_VOLTS = 1.6;
const JUMPER_OHMS = 0.05;
const METER_OHMS = 10e6;
const SOURCE_OHMS = 220;

const RECIPES: readonly Recipe[] = [
  {
    id: 'unplug',
    name: 'Unplug the sensor',
    how: 'Plug off, key on. Read the signal on the harness side of the plug.',
    caution:
      'Note the codes before: those that unplugging sets, also of a temperature in the same body, are consequences.',
    plugged: false,
    readAt: 'plug',
    needs: [],
    attach: () => {},
  },
  {
    id: 'bridge-return',
    name: 'Bridge signal to return',
    how: 'Plug off, a jumper from signal to return on the harness side. Read the signal at the control unit.',
    caution:
      'Be sure of the terminals first: reference bridged to return shorts the supply of every sensor on it.',
    plugged: false,
    readAt: 'unit',
    needs: ['return'],
    attach: (wiring) =>
      wiring.bridge(wiring.node('signal', 'plug'), wiring.node('return', 'plug'), JUMPER_OHMS),
  },
  {
    id: 'bridge-reference',
    name: 'Bridge signal to reference',
    how: 'Plug off, a jumper from signal to reference on the harness side. Read the signal at the control unit.',
    caution:
      'Never to battery positive. A fuse or a resistor of some hundred ohms in the jumper does no harm.',
    plugged: false,
    readAt: 'unit',
    needs: ['reference'],
    attach: (wiring) =>
      wiring.bridge(wiring.node('signal', 'plug'), wiring.node('reference', 'plug'), JUMPER_OHMS),
  },
  {
    id: 'substitute',
    name: `Substitute ${SUBSTITUTE_VOLTS} V`,
    how: `Plug off, ${SUBSTITUTE_VOLTS} V from a source on the signal, against battery negative. Read the signal at the control unit, and live data.`,
    caution: 'No more than the reference, through some hundred ohms, and on the signal wire only.',
    plugged: false,
    readAt: 'unit',
    needs: [],
    attach: (wiring, { sourceNode }) => wiring.bridge(sourceNode, wiring.node('signal', 'plug'), SOURCE_OHMS),
  },
  {
    id: 'jumper',
    name: 'Jump past the signal wire',
    how: 'Plug connected, key on, engine off: a jumper along the signal wire from plug to control unit. Read the signal there.',
    caution: 'Back-probe both ends. The jumper proves a broken wire; it is no repair.',
    plugged: true,
    readAt: 'unit',
    needs: [],
    attach: (wiring) =>
      wiring.bridge(wiring.node('signal', 'plug'), wiring.node('signal', 'unit'), JUMPER_OHMS),
  },
];

/** Every test with what each answer would mean, worked out on the circuit of this sensor before anything is unplugged. */
export function isolationTests(sensor: IsolatedSensor): IsolationTest[] {
  const spec = wiringFor(sensor);
  const wiring = new Wiring(spec, 1);
  const sourceNode = wiring.firstSpareNode;
  wiring.network.addConductor(sourceNode, BATTERY_NEGATIVE, source(SUBSTITUTE_VOLTS, 1e-3));
  const signalAtPlug = wiring.node('signal', 'plug');
  wiring.network.addResistor(signalAtPlug, BATTERY_NEGATIVE, METER_OHMS);
  const faults = faultsAround(sensor, wiring);
  return RECIPES.filter(({ needs }) => needs.every((wire) => sensor.wires.includes(wire))).map(
    ({ id, name, how, caution, plugged, readAt, attach }) => {
      const read = (fault: Fault | undefined): number => {
        const { profile } = sensor;
        const middle = (profile.lowest + profile.highest) / 2;
        situate(wiring, sensor, fault ? effectsOf([fault]) : [], {
          keyOn: true,
          plugged,
          trueValue: middle,
          restingValue: middle,
          celsius: ROOM_CELSIUS,
        });
        attach(wiring, { sourceNode });
        wiring.network.solve();
        return readAt === 'unit' ? wiring.inputVolts('signal') : wiring.network.volts(signalAtPlug);
      };
      const soundVolts = read(undefined);
      return {
        id,
        name,
        how,
        caution,
        answers: answersAround(
          soundVolts,
          faults.map((fault) => ({ volts: read(fault), fault })),
        ),
        liveValue: liveValueAt(soundVolts, sensor.profile),
      };
    },
  );
}

const ROOM_CELSIUS = 20;

/** What these tests are for: the wires between plug and unit, and the unit itself; at both ends of each size. */
function faultsAround(sensor: IsolatedSensor, { spec }: Wiring): Fault[] {
  const subject = { family: sensor.family, wiring: spec };
  return FAULT_KINDS.filter(
    ({ class: sort, id }) => (sort === 'wire' || sort === 'control-unit') && id !== 'two-wires-open',
  ).flatMap((kind) =>
    kind
      .sites(subject)
      // The contact of the plug belongs to the sensor's side: with the plug off it is not in the circuit.
      .filter((site) => !site.id.endsWith(':plug'))
      .flatMap((site) => (kind.size ? [0, 0.5, 1] : [0]).map((at) => faultOf(kind, site, at))),
  );
}

/** What a sound circuit gives may be off by this much in another car of the same kind. */
const SOUND_SLACK_VOLTS = 0.15;
/** What else a technician tells apart at a glance: nothing, something between, the reference, more than that. */
const NOTHING_VOLTS = 0.15;
const REFERENCE_VOLTS = [4.6, 5.3] as const;

type Outcome = { volts: number; fault: Fault };

function answersAround(soundVolts: number, outcomes: readonly Outcome[]): IsolationAnswer[] {
  const zones = new Map<number, Outcome[]>();
  for (const outcome of outcomes) {
    if (Number.isNaN(outcome.volts)) continue;
    const zone = zoneOf(outcome.volts, soundVolts);
    zones.set(zone, [...(zones.get(zone) ?? []), outcome]);
  }
  const soundZone = zoneOf(soundVolts, soundVolts);
  if (!zones.has(soundZone)) zones.set(soundZone, []);
  return [...zones]
    .sort(([a], [b]) => a - b)
    .map(([zone, group]) => {
      const sound = zone === soundZone;
      const volts = [...group.map((outcome) => outcome.volts), ...(sound ? [soundVolts] : [])];
      // Beside the sound answer stand all faults that this test does not touch: only those of the signal's own path count.
      const told = sound ? group.filter(({ fault }) => ON_SIGNAL.test(fault.site.id)) : group;
      return {
        lowestVolts: Math.min(...volts),
        highestVolts: Math.max(...volts),
        sound,
        meanings: meaningsOf(told.map(({ fault }) => fault)),
      };
    });
}

const ON_SIGNAL = /(^|[+:])signal($|[+:])/u;

/** From low to high; the zone of the sound answer overrides the others. */
function zoneOf(volts: number, soundVolts: number): number {
  if (Math.abs(volts - soundVolts) <= SOUND_SLACK_VOLTS) return soundVolts;
  if (volts < NOTHING_VOLTS) return -1;
  const [low, high] = REFERENCE_VOLTS;
  if (volts > high) return 10;
  if (volts > low) return low + SOUND_SLACK_VOLTS;
  return volts < soundVolts ? NOTHING_VOLTS : low;
}

/** Each kind of fault once, with the wires or parts that it would be about. */
function meaningsOf(faults: readonly Fault[]): string[] {
  const byKind = new Map<string, Set<string>>();
  for (const { kind, site } of faults) {
    const name = `${kind.name.charAt(0).toLowerCase()}${kind.name.slice(1)}`;
    byKind.set(
      name,
      (byKind.get(name) ?? new Set()).add(site.words.split(/,| at the | inside /u)[0] as string),
    );
  }
  return [...byKind].map(([name, places]) => `${name} (${[...places].join('; ')})`);
}

function liveValueAt(volts: number, profile: SensorProfile): number | undefined {
  const band = signalBand(volts, profile.nominalReferenceVolts, profile);
  if (band === 'circuit-low' || band === 'circuit-high') return undefined;
  const value = valueFromSignal(
    { signalVolts: volts, referenceVolts: profile.nominalReferenceVolts, returnVolts: 0 },
    profile,
  );
  return value.ok ? value.value.value : undefined;
}
