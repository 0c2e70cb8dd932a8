import type { SensorReading, SensorText } from './sensorText.ts';

/** What each part of the sensor form is given. */
export interface FieldsProps {
  text: SensorText;
  change: (part: Partial<SensorText>) => void;
  /** Told once saving was tried. */
  problems: SensorReading['problems'];
  /** Told as they arise. */
  live: SensorReading['problems'];
}

type TextField =
  | 'name'
  | 'source'
  | 'notes'
  | 'reference'
  | 'matters'
  | 'circuitLow'
  | 'circuitHigh'
  | 'outputLow'
  | 'outputHigh'
  | 'supplyLow'
  | 'supplyHigh';

/** A plain text field bound to the form. */
export const bound = ({ text, change, problems }: FieldsProps, name: TextField, label: string) => ({
  label,
  value: text[name],
  onChange: (event: { target: { value: string } }) => change({ [name]: event.target.value }),
  error: problems[name] !== undefined,
  helperText: problems[name],
});
