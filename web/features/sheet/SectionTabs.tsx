import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';

const SECTIONS = {
  reading: 'Reading',
  pump: 'Pump',
  compare: 'Compare',
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
  pump,
  onChoose,
}: {
  section: Section;
  /** Whether a hand pump can be put on this sensor. */
  pump: boolean;
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
        .filter(([name]) => name !== 'pump' || pump || section === 'pump')
        .map(([name, label]) => (
          <Tab key={name} value={name} label={label} />
        ))}
    </Tabs>
  );
}
