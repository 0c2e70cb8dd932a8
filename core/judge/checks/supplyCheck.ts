import { say, type Message } from '../../measure/message/index.ts';
import { latestWire, type AnyEvidence } from '../../record/evidence/index.ts';
import { isSteady, type Lane, type MachineState, type Place, type Spot } from '../../machine/places/index.ts';
import type { CaseFile } from './caseFile.ts';
import { supplyIsGood } from './supplyIsGood.ts';
import { dropIsSmall, dropOver } from './stretches.ts';

export type SupplyOutcome = 'good' | 'bad' | 'open';

/** One reading of the supply, in the order of work. */
export interface SupplyStep {
  spot: Spot;
  state: MachineState;
  /** What it proves. */
  proves: Message;
  reading: AnyEvidence | undefined;
  outcome: SupplyOutcome;
}

const LOADED: MachineState = { engine: 'koeo', plug: 'connected' };
const UNLOADED: MachineState = { engine: 'koeo', plug: 'unplugged' };

/** Reference loaded and unloaded, return by its drop, and the battery feed where the body has one. */
export function supplyCheck(caseFile: CaseFile, lanes: readonly Lane[]): SupplyStep[] {
  const at = (lane: Lane, place: Place, state: MachineState, proves: Message): SupplyStep => {
    const reading = latestWire(
      caseFile.readings,
      lane,
      place,
      (other) => isSteady(other) && other.plug === state.plug,
    );
    const outcome = reading ? (supplyIsGood(lane, reading, caseFile) ? 'good' : 'bad') : 'open';
    return { spot: { kind: 'wire', lane, place }, state, proves, reading, outcome };
  };
  return lanes.flatMap((lane): SupplyStep[] => {
    switch (lane) {
      case 'reference':
      case 'second-reference':
        return [
          at(lane, 'plug', LOADED, say('checks.supply-holds-under-sensors-own')),
          at(lane, 'plug', UNLOADED, say('checks.there-all-lower-only-when')),
          at(lane, 'unit', LOADED, say('checks.unit-gives-good-here-not')),
        ];
      case 'return':
      case 'second-return': {
        const drop = dropOver({ lane, from: 'unit', to: 'plug' }, caseFile);
        return [
          at(lane, 'plug', LOADED, say('checks.whole-way-battery-negative-unit')),
          {
            spot: { kind: 'between', from: { lane, place: 'plug' }, to: { lane, place: 'unit' } },
            state: LOADED,
            proves: say('checks.wire-alone-lost-over-while'),
            reading: drop,
            outcome: drop ? (dropIsSmall(drop, caseFile) ? 'good' : 'bad') : 'open',
          },
        ];
      }
      case 'battery-feed':
        return [at(lane, 'plug', LOADED, say('checks.battery-voltage-under-load-element'))];
      case 'signal':
      case 'second-signal':
      case 'motor-plus':
      case 'motor-minus':
        return [];
    }
  });
}
