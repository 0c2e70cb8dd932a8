import type {
  Drive,
  MachineState,
  EngineState,
  GaugeTap,
  Lane,
  Place,
  PlugState,
  StimulusKind,
  Target,
} from './evidence.ts';

/** The field's words for places and states, in one spelling for screen, report and reasoning. */
export const LANE_WORDS: Record<Lane, string> = {
  reference: 'reference',
  signal: 'signal',
  return: 'return',
  'second-signal': 'second signal',
  'battery-feed': 'battery feed',
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
  'full-travel': 'at full travel',
  'valve-open': 'with the valve forced open',
};
export const PLUG_WORDS: Record<PlugState, string> = { connected: 'plug connected', unplugged: 'plug off' };
export const TAP_WORDS: Record<GaugeTap, string> = {
  'sensor-hose': 'at the sensor hose',
  manifold: 'at the manifold',
};

/** What drives the sensor; how its plug stands is said beside it where that matters. */
export const driveWords = ({ engine, stimulus }: Drive): string =>
  [ENGINE_WORDS[engine], ...(stimulus ? [STIMULUS_WORDS[stimulus.kind]] : [])].join(', ');

export const stateWords = (state: MachineState): string => `${driveWords(state)}, ${PLUG_WORDS[state.plug]}`;

export function targetWords(target: Target): string {
  switch (target.kind) {
    case 'wire':
      return `${LANE_WORDS[target.lane]} at the ${PLACE_WORDS[target.place]}`;
    case 'gauge':
      return `gauge ${TAP_WORDS[target.tap]}`;
    case 'scan':
      return 'live data';
  }
}

export const sameTarget = (a: Target, b: Target): boolean => targetWords(a) === targetWords(b);
