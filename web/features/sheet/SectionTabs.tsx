import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { memo } from 'react';
import { t } from '../../ui/words.ts';

const SECTIONS = {
  reading: t('ui-sheet.tab-reading'),
  wires: t('ui-sheet.tab-wires'),
  bench: t('ui-sheet.tab-bench'),
  pump: t('ui-sheet.tab-pump'),
  sweeps: t('ui-sheet.tab-sweeps'),
  compare: t('ui-sheet.tab-compare'),
  isolate: t('ui-sheet.tab-isolate'),
  ambient: t('ui-sheet.tab-ambient'),
  record: t('ui-sheet.tab-record'),
  verdict: t('ui-sheet.tab-verdict'),
  job: t('ui-sheet.tab-job'),
} as const;
export type Section = keyof typeof SECTIONS;

export const sectionFrom = (name: string | null): Section =>
  name !== null && Object.hasOwn(SECTIONS, name) ? (name as Section) : 'reading';

export interface SectionTabsProps {
  section: Section;
  /** Others have no use for them: a pump that can be put on, a bench where the machine is simulated. */
  pumped: boolean;
  simulated: boolean;
  onChoose: (section: Section) => void;
}

export const SectionTabs = memo(function SectionTabs({
  section,
  pumped,
  simulated,
  onChoose,
}: SectionTabsProps) {
  const without: readonly string[] = [...(pumped ? [] : ['pump']), ...(simulated ? [] : ['bench'])];
  return (
    <Tabs
      value={section}
      onChange={(_event, name: Section) => onChoose(name)}
      aria-label={t('ui-sheet.sections-sheet')}
      variant="scrollable"
      scrollButtons={false}
      sx={{ borderBottom: 1, borderColor: 'divider' }}
    >
      {Object.entries(SECTIONS)
        .filter(([name]) => name === section || !without.includes(name))
        .map(([name, label]) => (
          <Tab key={name} value={name} label={label} />
        ))}
    </Tabs>
  );
});
