import { fixed, NOTHING_TO_SAY, say } from '../../../measure/message/index.ts';
import { toleranceAt, valuesFromSignals } from '../../../measure/transfer/index.ts';
import { sweepFigures } from '../figures.ts';
import type { Recording } from '../recording.ts';
import { atNominal } from '../supplyScale.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { indexOf, wholeOf } from './words.ts';

/** Against a stimulus that was recorded beside it: the figures of a sweep, in the terms of IEC 61298-2. */
export function figuresAgainstStimulus(recording: Recording, context: SweepContext): SweepFinding[] {
  const { profile } = context;
  const [channel, along] = [indexOf(context, 'signal'), indexOf(context, 'stimulus')];
  const [volts, stimulus] = [recording.channels[channel]?.values, recording.channels[along]?.values];
  if (!volts || !stimulus) return [];
  const output = new Float64Array(volts.length);
  valuesFromSignals(atNominal(recording, context, volts), profile.nominalReferenceVolts, profile, output);
  const span = profile.highest - profile.lowest;
  const figures = sweepFigures(stimulus, output, (value) => value, span);
  if (!figures) return [];
  const middle = (profile.lowest + profile.highest) / 2;
  const allowedPercent = (100 * toleranceAt(middle, profile)) / span;
  const wrong = figures.inaccuracyPercent > allowedPercent;
  const percent = (value: number) => fixed(value, 2, '%');
  return [
    {
      kind: 'figures',
      weight: wrong ? 'fault' : 'note',
      sentence: say('sweep.figures', {
        inaccuracy: percent(figures.inaccuracyPercent),
        allowed: percent(allowedPercent),
        hysteresis: percent(figures.hysteresisPercent),
        terminal: percent(figures.terminalNonLinearityPercent),
        independent: percent(figures.independentNonLinearityPercent),
        repeatability:
          figures.repeatabilityPercent === undefined
            ? NOTHING_TO_SAY
            : say('sweep.repeatability', { percent: percent(figures.repeatabilityPercent) }),
        strokesUp: figures.strokesUp,
        strokesDown: figures.strokesDown,
      }),
      channel,
      ...wholeOf(recording),
    },
  ];
}
