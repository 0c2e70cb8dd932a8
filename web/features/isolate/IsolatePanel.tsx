import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { IsolatedSensor } from '@lettura/core/judge/isolation';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { IsolationTests } from './IsolationTests.tsx';
import { SensorPins } from './SensorPins.tsx';
import { SupplyTable } from './SupplyTable.tsx';
import { ThreeViewsTable } from './ThreeViewsTable.tsx';
import { WireTable } from './WireTable.tsx';
import { t } from '../../ui/words.ts';

const PARTS = {
  supply: t('ui-isolate.supply'),
  views: t('ui-isolate.three-views'),
  tests: t('ui-isolate.tests'),
  wires: t('ui-isolate.wires'),
  sensor: t('ui-isolate.sensors-own-pins'),
} as const;
type Part = keyof typeof PARTS;
const partFrom = (name: string | null): Part =>
  name !== null && Object.hasOwn(PARTS, name) ? (name as Part) : 'supply';

/** Sensor or circuit: supply, signal, tests and wires, each with what its answers would mean. */
export function IsolatePanel({
  caseFile,
  lanes,
  state,
  units,
  instrument,
  onGo,
  onBetween,
}: IsolatePanelProps) {
  const [search, setSearch] = useSearchParams();
  const part = partFrom(search.get('part'));
  const { family, profile, companion } = caseFile;
  const sensor = useMemo(
    (): IsolatedSensor => ({ family, profile, companion, wires: lanes }),
    [family, profile, companion, lanes],
  );
  const put = (change: Record<string, string>) =>
    setSearch({ ...Object.fromEntries(search), ...change }, { replace: true });
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1 }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={t('ui-isolate.part-isolation')}
        value={part}
        onChange={(_event, chosen: Part | null) => chosen && put({ part: chosen })}
      >
        {Object.entries(PARTS).map(([name, label]) => (
          <ToggleButton key={name} value={name}>
            {label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
        <Box
          sx={{
            flex: '1 1 380px',
            minWidth: 0,
            display: 'grid',
            gridTemplateColumns: 'minmax(0, 1fr)',
            gap: 1,
          }}
        >
          {part === 'supply' && <SupplyTable {...{ caseFile, lanes, sensor, units, onGo, onBetween }} />}
          {part === 'views' && <ThreeViewsTable {...{ caseFile, state, units, onGo }} />}
          {part === 'tests' && (
            <IsolationTests
              {...{ caseFile, sensor, units, onGo }}
              chosen={search.get('test')}
              onChoose={(test) => put({ test })}
            />
          )}
          {part === 'wires' && (
            <WireTable
              {...{ caseFile, lanes, sensor, units, onBetween }}
              chosen={lanes.find((lane) => lane === search.get('wire')) ?? 'signal'}
              onChoose={(wire) => put({ wire })}
            />
          )}
          {part === 'sensor' && <SensorPins {...{ caseFile, sensor, state, onBetween }} />}
        </Box>
        {(part === 'supply' || part === 'views' || part === 'tests') && instrument}
      </Box>
    </Box>
  );
}
