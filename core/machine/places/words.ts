import type { Drive, EngineState, MachineState, PlugState, Stimulus, StimulusKind } from './machineState.ts';
import type { GaugeTap, Spot } from './spots.ts';
import type { Lane, Place } from './lanes.ts';
import type { Attachment, HarnessWork, ProbePoint } from './harnessWork.ts';

/** The field's words for places and states, in one spelling for screen, report and reasoning. */
export const LANE_WORDS: Record<Lane, string> = {
  reference: 'reference',
  signal: 'signal',
  return: 'return',
  'second-signal': 'second signal',
  'battery-feed': 'battery feed',
  'second-reference': 'second reference',
  'second-return': 'second return',
  'motor-plus': 'motor plus',
  'motor-minus': 'motor minus',
};
export const PLACE_WORDS: Record<Place, string> = {
  unit: 'control unit',
  connector: 'inline connector',
  plug: 'sensor plug',
};
export const ENGINE_WORDS: Record<EngineState, string> = {
  'key-off': 'key off',
  koeo: 'key on, engine off',
  idle: 'idle',
  'held-revs': 'revs held',
  'snap-open': 'throttle snapped open',
};
export const STIMULUS_WORDS: Record<StimulusKind, string> = {
  pump: 'with the hand pump on',
  held: 'held by hand',
  'full-travel': 'at full travel',
  'valve-open': 'with the valve forced open',
};
export const PLUG_WORDS: Record<PlugState, string> = { connected: 'plug connected', unplugged: 'plug off' };
export const TAP_WORDS: Record<GaugeTap, string> = {
  'sensor-hose': 'at the sensor hose',
  manifold: 'at the manifold',
};

const stimulusWords = (stimulus: Stimulus): string =>
  stimulus.kind === 'held'
    ? `${STIMULUS_WORDS.held} at ${stimulus.percent} %`
    : STIMULUS_WORDS[stimulus.kind];

/** What drives the sensor; how its plug stands is said beside it where that matters. */
export const driveWords = ({ engine, stimulus }: Drive): string =>
  [ENGINE_WORDS[engine], ...(stimulus ? [stimulusWords(stimulus)] : [])].join(', ');

export const stateWords = (state: MachineState): string =>
  [driveWords(state), PLUG_WORDS[state.plug], ...harnessWords(state.harness)].join(', ');

export function pointWords(point: ProbePoint): string {
  if (typeof point === 'string')
    return point === 'battery-negative' ? 'battery negative' : 'battery positive';
  return point.place === 'pin'
    ? `${LANE_WORDS[point.lane]} pin of the sensor`
    : `${LANE_WORDS[point.lane]} at the ${PLACE_WORDS[point.place]}`;
}

/** Two points of one wire, or of one place, without saying the common part twice. */
export function pairWords(from: ProbePoint, to: ProbePoint): string {
  if (typeof from !== 'string' && typeof to !== 'string') {
    if (from.lane === to.lane && from.place !== 'pin' && to.place !== 'pin')
      return `${LANE_WORDS[from.lane]}, ${PLACE_WORDS[from.place]} to ${PLACE_WORDS[to.place]}`;
    if (from.place === to.place)
      return `${LANE_WORDS[from.lane]} to ${LANE_WORDS[to.lane]}, at the ${from.place === 'pin' ? 'sensor’s own pins' : PLACE_WORDS[from.place]}`;
  }
  return `${pointWords(from)} to ${pointWords(to)}`;
}

export function attachmentWords(attachment: Attachment): string {
  switch (attachment.kind) {
    case 'jumper':
      return `jumper: ${pairWords(attachment.from, attachment.to)}`;
    case 'meter':
      return `second meter: ${pairWords(attachment.from, attachment.to)}`;
    case 'test-light':
      return `test light: ${pairWords(attachment.from, attachment.to)}`;
    case 'voltage-source':
      return `${attachment.volts} V fed into the ${pointWords(attachment.at)}`;
  }
}

export const harnessWords = (work: HarnessWork | undefined): string[] =>
  work
    ? [
        ...work.attachments.map(attachmentWords),
        ...(work.neighboursOff.length > 0 ? ['another sensor on the reference unplugged'] : []),
        ...(work.wiggled ? ['loom moved'] : []),
      ]
    : [];

export function targetWords(target: Spot): string {
  switch (target.kind) {
    case 'between':
      return `volts from ${pairWords(target.from, target.to)}`;
    case 'ohms':
      return `ohms, ${pairWords(target.from, target.to)}`;
    case 'wire':
      return `${LANE_WORDS[target.lane]} at the ${PLACE_WORDS[target.place]}`;
    case 'gauge':
      return `gauge ${TAP_WORDS[target.tap]}`;
    case 'scan':
      return 'live data';
  }
}
