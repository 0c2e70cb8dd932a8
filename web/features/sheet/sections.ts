import { t } from '../../ui/words.ts';

/** What one is doing, in the order of the work, each with the sections that serve it. */
const ACTIVITIES = {
  measure: ['reading', 'bench'],
  sweep: ['pump', 'sweeps'],
  compare: ['compare', 'ambient'],
  isolate: ['isolate', 'wires'],
  record: ['record'],
  finish: ['verdict', 'repair', 'job'],
} as const;
export type Activity = keyof typeof ACTIVITIES;
export type Section = (typeof ACTIVITIES)[Activity][number];

/** A pump that can be put on and a bench where the machine is simulated: others have no use for their sections. */
export interface SheetHas {
  pumped: boolean;
  simulated: boolean;
}

const ALL = Object.keys(ACTIVITIES) as Activity[];

export const sectionFrom = (name: string | null): Section =>
  ALL.flatMap((activity): readonly Section[] => ACTIVITIES[activity]).find((one) => one === name) ??
  'reading';

export const activityOf = (section: Section): Activity =>
  ALL.find((activity) => (ACTIVITIES[activity] as readonly Section[]).includes(section))!;

/** Of an activity; what is open stays among them, whoever has led there. */
export const sectionsOf = (activity: Activity, open: Section, { pumped, simulated }: SheetHas): Section[] =>
  ACTIVITIES[activity].filter(
    (one) => one === open || ((one !== 'pump' || pumped) && (one !== 'bench' || simulated)),
  );

/** With what each is called, and what it is called where room is short. */
export const activitiesOf = ({ pumped }: SheetHas): { activity: Activity; label: string; short?: string }[] =>
  ALL.map((activity) =>
    activity === 'sweep' && pumped
      ? { activity, label: t('ui-sheet.do-pump-sweep'), short: t('ui-sheet.part-pump') }
      : { activity, label: t(`ui-sheet.do-${activity}`) },
  );
