import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { useEffect, type ComponentType } from 'react';
import { Link, useParams } from 'react-router';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { AirflowCalculator } from './AirflowCalculator.tsx';
import { BarometerCalculator } from './BarometerCalculator.tsx';
import { CodesLookUp } from './CodesLookUp.tsx';
import { OhmsCalculator } from './OhmsCalculator.tsx';
import { PairCalculator } from './PairCalculator.tsx';
import { PressureCalculator } from './PressureCalculator.tsx';
import { RefrigerantCalculator } from './RefrigerantCalculator.tsx';
import { SensorCalculator } from './SensorCalculator.tsx';
import { t } from '../../ui/words.ts';

const CALCULATORS: Record<string, { label: string; Calculator: ComponentType }> = {
  pressure: { label: t('ui-reference.pressure'), Calculator: PressureCalculator },
  barometer: { label: t('ui-reference.barometer'), Calculator: BarometerCalculator },
  sensor: { label: t('ui-reference.volts-value'), Calculator: SensorCalculator },
  ohms: { label: t('ui-reference.ohms-wire'), Calculator: OhmsCalculator },
  airflow: { label: t('ui-reference.airflow'), Calculator: AirflowCalculator },
  codes: { label: t('ui-reference.codes'), Calculator: CodesLookUp },
  pair: { label: t('ui-reference.track-pair'), Calculator: PairCalculator },
  refrigerant: { label: t('ui-reference.refrigerant'), Calculator: RefrigerantCalculator },
};

/** Calculators that stand alone, opened in passing; the address of each holds its numbers. */
export default function ReferencePage() {
  const { calculator = 'pressure' } = useParams();
  const name = Object.hasOwn(CALCULATORS, calculator) ? calculator : 'pressure';
  const current = CALCULATORS[name];
  useEffect(() => {
    document.title = t('ui-reference.page', { name: current?.label ?? '' });
  }, [current]);
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-reference.reference')}>
        <LibraryLinks />
      </PageHeader>
      <Box component="main" sx={{ p: 2, maxWidth: 1000, mx: 'auto' }}>
        <Box
          sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 2 }}
        >
          <Tabs
            value={name}
            aria-label={t('ui-reference.calculators')}
            variant="scrollable"
            sx={{ mb: 2, borderBottom: 1, borderColor: 'divider' }}
          >
            {Object.entries(CALCULATORS).map(([value, { label }]) => (
              <Tab key={value} value={value} label={label} component={Link} to={`/reference/${value}`} />
            ))}
          </Tabs>
          {current && <current.Calculator />}
        </Box>
      </Box>
    </Box>
  );
}
