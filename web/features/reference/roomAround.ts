import { shownUnit, toShown, type Measurand, type PressureUnit } from '@lettura/core/measure/quantity';

/** While no sensor is loaded yet. */
export const ANY = { measures: 'absolute-pressure', lowest: 0, highest: 1000 } as const;

/** A field for a value of a sensor: its range with as much again on both sides; nothing absolute goes below zero. */
export function roomAround(
  lowest: number,
  highest: number,
  measures: Measurand,
  pressureUnit: PressureUnit,
): { lowest: number; highest: number; unit: string } {
  const span = highest - lowest;
  const bottom = measures === 'absolute-pressure' ? 0 : lowest - span;
  return {
    lowest: Math.floor(toShown(bottom, measures, pressureUnit)),
    highest: Math.ceil(toShown(highest + span, measures, pressureUnit)),
    unit: shownUnit(measures, pressureUnit),
  };
}
