import { fixed, NOTHING_TO_SAY, say } from '../../../measure/message/index.ts';
import { toleranceAt } from '../../../measure/transfer/index.ts';
import { besideStimulus } from '../besideStimulus.ts';
import { sweepFigures } from '../figures.ts';
import type { Recording } from '../recording.ts';
import type { SweepContext, SweepFinding } from './finding.ts';
import { wholeOf } from './words.ts';

/** Against a stimulus that was recorded beside it: the figures of a sweep, in the terms of IEC 61298-2. */
export function figuresAgainstStimulus(recording: Recording, context: SweepContext): SweepFinding[] {
  const { profile } = context;
  const beside = besideStimulus(recording, context);
  if (!beside) return [];
  const { channel, stimulus, output } = beside;
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
