import { pumpSteps, type Pumped } from '@lettura/core/judge/checks';
import { isPumpedDown } from '@lettura/core/machine/family';
import { toKpa, type PressureUnit } from '@lettura/core/measure/quantity';
import { useState } from 'react';
import { z } from 'zod';
import { stored } from '../../app/stored.ts';
import { ownSteps } from './ownSteps.ts';

const STEP_CHOICES = ['6', '10', 'own'] as const;
export type StepChoice = (typeof STEP_CHOICES)[number];

/** What was chosen last, by the unit of the gauge: its divisions stay the same from job to job. */
const keptSteps = z.object({ choice: z.enum(STEP_CHOICES), text: z.string() });
const keptFor = (unit: PressureUnit) =>
  stored<z.infer<typeof keptSteps>>(`lettura.pump-steps.${unit}`, keptSteps, { choice: '6', text: '' });

export interface PumpSteps {
  choice: StepChoice;
  choose: (choice: StepChoice) => void;
  text: string;
  type: (text: string) => void;
  /** kPa above ambient, minus for vacuum. */
  steps: readonly number[];
  /** What was written down gives no steps. */
  isUnreadable: boolean;
}

/** The settings of a pump table: in even steps, or those of the gauge in hand. */
export function usePumpSteps(sensor: Pumped, ambientKpaAbs: number, unit: PressureUnit): PumpSteps {
  const { family, profile } = sensor;
  const [kept, setKept] = useState(() => ({ unit, ...keptFor(unit).load() }));
  const now = kept.unit === unit ? kept : { unit, ...keptFor(unit).load() };
  const keep = (change: Partial<Pick<PumpSteps, 'choice' | 'text'>>) => {
    const { choice, text } = { ...now, ...change };
    keptFor(unit).save({ choice, text });
    setKept({ unit, choice, text });
  };
  const down = isPumpedDown(family, profile.measures);
  // Nobody pumps below nothing, nor a sensor to bits.
  const mostKpa = down ? ambientKpaAbs : 2 * profile.highest;
  const written = ownSteps(now.text)?.map((step) => toKpa(step, unit));
  const own = written?.every((kpa) => kpa <= mostKpa) ? written : undefined;
  return {
    choice: now.choice,
    choose: (choice) => keep({ choice }),
    text: now.text,
    type: (text) => keep({ text }),
    steps:
      now.choice === 'own'
        ? (own ?? []).map((kpa) => (down && kpa > 0 ? -kpa : kpa))
        : pumpSteps(sensor, ambientKpaAbs, unit, Number(now.choice)),
    isUnreadable: now.choice === 'own' && own === undefined,
  };
}
