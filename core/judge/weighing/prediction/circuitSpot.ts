import { pairSeen, type Watched } from '../../../record/code/index.ts';
import type { Spot } from '../../../machine/places/index.ts';
import type { Effect } from '../../../machine/fault/index.ts';
import type { IsolatedSensor } from '../../isolation/index.ts';
import type { Rig } from '../../../machine/rig/index.ts';

/** Spots that the circuit answers for, and whether telegrams arrive at the plug; neither a gauge nor the engine is a part of it. What the unit watches is read by nobody but the unit. */
export type CircuitSpot = Exclude<Spot, { kind: 'gauge' | 'engine-flow' }> | UnitSees | { kind: 'telegrams' };
interface UnitSees {
  kind: 'unit-sees';
  what: Exclude<Watched, 'signal'>;
}

/** What would be shown there, in volts or ohms; of a pair its deviation in percent of the reference. */
export function readOn(
  rig: Rig,
  spot: CircuitSpot,
  effects: readonly Effect[],
  sensor: IsolatedSensor,
): number {
  switch (spot.kind) {
    case 'wire':
      return rig.volts({ lane: spot.lane, place: spot.place }, 'battery-negative');
    case 'between':
      return rig.volts(spot.from, spot.to);
    case 'ohms':
      return rig.ohms(spot.from, spot.to);
    case 'scan':
      return convertedVolts(rig, 'signal', effects);
    // Only a line that goes to and fro carries any, and that one is read by itself.
    case 'telegrams':
    case 'frequency':
    case 'duty':
      return 0;
    case 'live-volts':
      return convertedVolts(rig, spot.lane, effects);
    case 'unit-sees':
      return seenByUnit(rig, spot.what, effects, sensor);
  }
}

function seenByUnit(
  rig: Rig,
  what: UnitSees['what'],
  effects: readonly Effect[],
  sensor: IsolatedSensor,
): number {
  switch (what) {
    case 'second-signal':
      return convertedVolts(rig, what, effects);
    case 'supply':
      return worstRailVolts(rig, sensor);
    case 'pair':
      return pairSeen(
        convertedVolts(rig, 'signal', effects),
        convertedVolts(rig, 'second-signal', effects),
        sensor.profile.nominalReferenceVolts,
        sensor.companion,
      );
  }
}

function worstRailVolts(rig: Rig, { profile }: IsolatedSensor): number {
  const { nominalReferenceVolts } = profile;
  const all = rig.wiring.spec.rails.map((_, rail) => rig.railVolts(rail));
  const off = (volts: number) => Math.abs(volts - nominalReferenceVolts);
  return all.reduce((worst, volts) => (off(volts) > off(worst) ? volts : worst), nominalReferenceVolts);
}

/** What the unit's converter makes of an input. */
function convertedVolts(rig: Rig, lane: 'signal' | 'second-signal', effects: readonly Effect[]): number {
  const stuck = effects.find((effect) => effect.on === 'converter' && effect.wire === lane);
  if (stuck?.on === 'converter') return stuck.reads;
  const volts = rig.inputVolts(lane);
  // Where nothing holds an input it is taken for nothing.
  return Number.isNaN(volts) ? 0 : volts;
}
