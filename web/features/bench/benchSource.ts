import { SimulatedLogger, type SimulatedHand, type SimulatedMachine } from '@lettura/bench';
import { pacedSource, type LiveSource } from '../live/index.ts';
import { LATE_MS } from './useLiveData.ts';
import { t } from '../../ui/words.ts';

const EVERY_SECONDS = 0.01;
const LIVE_EVERY_SAMPLES = 10;
const MOST_BEHIND_SECONDS = 5;

/** A logger on the simulated machine, while a hand moves it: a hundred samples a second. */
export function benchSource(machine: SimulatedMachine, hand: SimulatedHand, seed: number): LiveSource {
  const logger = new SimulatedLogger(machine, seed);
  return pacedSource(
    {
      id: 'bench',
      name: t('ui-bench.simulated-logger'),
      channels: logger.channels.map(({ name, unit }) => ({ name, unit })),
      uses: logger.channels.map(({ use }) => use),
    },
    () => {
      const startMs = Date.now();
      let given = 0;
      let live: number | null = null;
      return (until) => {
        const samples = [];
        // After a sleep of the browser what was slept through is a gap.
        given = Math.max(given, Math.floor((until - MOST_BEHIND_SECONDS) / EVERY_SECONDS));
        for (; given * EVERY_SECONDS <= until; given++) {
          const seconds = given * EVERY_SECONDS;
          const nowMs = startMs + 1000 * seconds;
          if (given % LIVE_EVERY_SAMPLES === 0) live = logger.live(hand.stateAt(nowMs - LATE_MS));
          samples.push({ seconds, values: [...logger.volts(hand.stateAt(nowMs)), live] });
        }
        return samples;
      };
    },
  );
}
