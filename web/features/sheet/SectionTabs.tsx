import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';

const SECTIONS = {
  reading: 'Reading',
  wires: 'Wires',
  bench: 'Bench',
  pump: 'Pump',
  sweeps: 'Sweeps',
  compare: 'Compare',
  isolate: 'Isolate',
  ambient: 'Ambient',
  record: 'Record',
  verdict: 'Verdict',
  job: 'Job',
} as const;
export type Section = keyof typeof SECTIONS;

export const sectionFrom = (name: string | null): Section =>
  name !== null && Object.hasOwn(SECTIONS, name) ? (name as Section) : 'reading';

export function SectionTabs({
  section,
  without,
  onChoose,
}: {
  section: Section;
  /** Sections that this job has no use for: a pump where none can be put on, a bench where the machine is real. */
  without: readonly Section[];
  onChoose: (section: Section) => void;
}) {
  return (
    <Tabs
      value={section}
      onChange={(_event, name: Section) => onChoose(name)}
      aria-label="Sections of the sheet"
      variant="scrollable"
      scrollButtons={false}
      sx={{ borderBottom: 1, borderColor: 'divider' }}
    >
      {Object.entries(SECTIONS)
        .filter(([name]) => name === section || !without.includes(name as Section))
        .map(([name, label]) => (
          <Tab key={name} value={name} label={label} />
        ))}
    </Tabs>
  );
}
