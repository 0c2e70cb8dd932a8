import type { PlugTest } from './plugTest.ts';
import type { Shows } from './scenarios.ts';

/**
 * How far a reading may lie and still agree with what a model shows: meter, spread between sound units, and what the
 * bins leave out; wide on purpose, since a name that is called certain must not be wrong. Volts or ohms, as the test.
 */
export function reachOf({ lowest, highest }: Shows, test: PlugTest): Shows {
  switch (test) {
    case 'open-volts':
    case 'connected-volts':
      return { lowest: lowest - slackVolts(lowest), highest: highest + slackVolts(highest) };
    case 'open-ohms':
      return {
        lowest: Math.min(lowest / OHMS_FACTOR - SLACK_OHMS, MOST_OHMS),
        highest: highest > MOST_OHMS / OHMS_FACTOR ? Infinity : highest * OHMS_FACTOR + SLACK_OHMS,
      };
    case 'moves':
    case 'fed':
      return { lowest, highest };
  }
}

/** Whether a reading agrees with what is shown; what shows nothing agrees with nothing. */
export function agrees(value: number, shows: Shows, test: PlugTest): boolean {
  if (shows.lowest > shows.highest) return false;
  const { lowest, highest } = reachOf(shows, test);
  return value >= lowest && value <= highest;
}

const slackVolts = (volts: number): number => Math.max(0.2, 0.12 * Math.abs(volts));
/** Inputs of other units are pulled by other resistors than those assumed here, by up to this factor. */
const OHMS_FACTOR = 5;
/** Leads and contacts. */
const SLACK_OHMS = 2;
/** Past this a meter shows OL. */
const MOST_OHMS = 4e7;
