import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { memo, useEffect, useRef } from 'react';
import { useAltDigit } from '../../ui/useAltKey.ts';
import { useScreen } from '../../ui/useScreen.ts';
import { t } from '../../ui/words.ts';
import {
  activitiesOf,
  activityOf,
  sectionsOf,
  type Activity,
  type Section,
  type SheetHas,
} from './sections.ts';

export interface SectionTabsProps extends SheetHas {
  section: Section;
  onChoose: (section: Section) => void;
}

/** What one is doing, and beside it, where that has several sections, which of them. Alt with a digit goes to each. */
export const SectionTabs = memo(function SectionTabs({
  section,
  pumped,
  simulated,
  onChoose,
}: SectionTabsProps) {
  // In a hand all six lie side by side, each in a short word.
  const isNarrow = useScreen() !== 'laptop';
  const has = { pumped, simulated };
  const activity = activityOf(section);
  // Whoever comes back finds what was open there.
  const last = useRef<Partial<Record<Activity, Section>>>({});
  useEffect(() => {
    last.current[activity] = section;
  });
  const activities = activitiesOf(has);
  const open = (to: Activity) => {
    const sections = sectionsOf(to, section, has);
    onChoose(sections.find((one) => one === last.current[to]) ?? sections[0]!);
  };
  useAltDigit((digit) => {
    const wanted = activities[digit - 1];
    if (wanted) open(wanted.activity);
  });
  const sections = sectionsOf(activity, section, has);
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        justifyContent: 'space-between',
        borderBottom: 1,
        borderColor: 'divider',
        '& .MuiTab-root': {
          minWidth: 0,
          minHeight: 48,
          px: { xs: 0.25, md: 1.5 },
          fontSize: { xs: '0.78rem', sm: '0.9rem' },
        },
      }}
    >
      <Tabs
        value={activity}
        onChange={(_event, to: Activity) => open(to)}
        aria-label={t('ui-sheet.sections-sheet')}
        variant={isNarrow ? 'fullWidth' : 'standard'}
        sx={{ width: { xs: '100%', md: 'auto' }, '& .MuiTab-root': { flexBasis: 'auto' } }}
      >
        {activities.map(({ activity: one, label, short = label }, i) => (
          <Tab
            key={one}
            value={one}
            label={isNarrow ? short : label}
            aria-label={label}
            aria-keyshortcuts={`Alt+${i + 1}`}
          />
        ))}
      </Tabs>
      {sections.length > 1 && (
        <Tabs
          value={section}
          onChange={(_event, to: Section) => onChoose(to)}
          aria-label={t('ui-sheet.parts', {
            activity: activities.find((one) => one.activity === activity)!.label,
          })}
          slotProps={{ indicator: { sx: { height: '100%', opacity: 0.12, pointerEvents: 'none' } } }}
          sx={{ '& .MuiTab-root': { px: 1.5, fontSize: '0.9rem' } }}
        >
          {sections.map((one) => (
            <Tab key={one} value={one} label={t(`ui-sheet.part-${one}`)} />
          ))}
        </Tabs>
      )}
    </Box>
  );
});
