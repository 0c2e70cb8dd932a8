import { type MachineState, type Target } from '../../machine/places/index.ts';
import { effectsOf, isInPlug, type Fault } from '../../machine/fault/index.ts';
import { Rig } from '../../machine/rig/index.ts';
import { isSent, signalBand, valueAtNominal, type SensorProfile } from '../../measure/transfer/index.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import { answersAround, type IsolationAnswer } from './isolationAnswers.ts';
import { RECIPES, type Recipe, type RecipeId } from './recipes.ts';
import { type VoltBand, faultsAround, situationOf, halfOf } from './faultsAround.ts';
import { type IsolatedSensor } from './isolatedSensor.ts';

export interface IsolationTest extends Pick<Recipe, 'about' | 'name' | 'how' | 'caution'> {
  id: RecipeId;
  /** In which the reading is taken, and where: what goes on record with it. */
  state: MachineState;
  target: Extract<Target, { kind: 'wire' }>;
  answers: readonly IsolationAnswer[];
  /** Whether live data is read beside it, and what it shows while all is well; no value where the unit sees a lost signal. */
  live?: { value: number | undefined };
}

/**
 * Every test with what each answer would mean, worked out on the circuit of this sensor before anything is unplugged.
 *
 * @param expectedSignal volts that a sound signal has with the key on and the engine off; else the middle of the range is taken
 */
export function isolationTests(sensor: IsolatedSensor, expectedSignal?: VoltBand): IsolationTest[] {
  const rig = new Rig(wiringFor(sensor));
  const faults = faultsAround(sensor, rig.wiring);
  const recipes: readonly Recipe[] = RECIPES;
  return recipes
    .filter(({ needs }) => needs.every((wire) => sensor.wires.includes(wire)))
    .map(({ id, about, name, how, caution, plugged, lane, place, harness }) => {
      const state: MachineState = {
        engine: 'koeo',
        plug: plugged ? 'connected' : 'unplugged',
        ...(harness ? { harness } : {}),
      };
      const situation = situationOf(sensor, state, expectedSignal);
      const read = (fault: Fault | undefined): number => {
        rig.bring(sensor, fault ? effectsOf([fault]) : [], situation, harness);
        return rig.volts({ lane, place }, 'battery-negative');
      };
      const soundVolts = read(undefined);
      // Live data counts from the unit's own ground, a few millivolts above the meter's.
      const soundInput = rig.inputVolts('signal');
      const outcomes = faults
        .filter(({ site }) => plugged || !isInPlug(site.at))
        .map((fault) => ({ volts: read(fault), fault }));
      return {
        id: id as RecipeId,
        about,
        name,
        how,
        caution,
        state,
        target: { kind: 'wire', lane, place },
        answers: answersAround(
          lane,
          soundVolts,
          outcomes,
          plugged && lane === 'signal' ? halfOf(expectedSignal) : 0,
        ),
        // What a sender says no voltage tells.
        ...(about === 'signal' && !isSent(sensor.profile)
          ? { live: { value: liveValueAt(soundInput, sensor.profile) } }
          : {}),
      };
    });
}

function liveValueAt(volts: number, profile: SensorProfile): number | undefined {
  const band = signalBand(volts, profile.nominalReferenceVolts, profile);
  if (band === 'circuit-low' || band === 'circuit-high') return undefined;
  return valueAtNominal(volts, profile);
}
