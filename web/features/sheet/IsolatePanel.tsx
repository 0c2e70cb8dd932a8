import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { Lane } from '@lettura/core/evidence';
import { isolationTests, type IsolationAnswer, type IsolationTest } from '@lettura/core/isolation';
import { formatWithBasis } from '@lettura/core/quantity';
import type { CaseFile } from '@lettura/core/reasoning';
import { usualWires } from '@lettura/core/wiring';
import { useMemo, useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { upperFirst } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';

export interface IsolatePanelProps {
  caseFile: CaseFile;
  lanes: readonly Lane[];
  units: Units;
}

/** Sensor or circuit: each test with what every answer would mean, before anything is unplugged. */
export function IsolatePanel({ caseFile, lanes, units }: IsolatePanelProps) {
  const { family, profile, companion } = caseFile;
  const tests = useMemo(
    () => isolationTests({ family, profile, companion, wires: usualWires(lanes, companion) }),
    [family, profile, companion, lanes],
  );
  const [id, setId] = useState<IsolationTest['id']>('unplug');
  const test = tests.find((one) => one.id === id) ?? tests[0];
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1 }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="Test"
        value={test?.id}
        onChange={(_event, chosen: IsolationTest['id'] | null) => chosen && setId(chosen)}
        sx={{ flexWrap: 'wrap' }}
      >
        {tests.map((one) => (
          <ToggleButton key={one.id} value={one.id}>
            {one.name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {test && <OneTest test={test} measures={profile.measures} units={units} />}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Worked out on the usual circuit of such a sensor
        {profile.bias === 'unknown' ? ', its input taken as pulled down' : ''}; volts against battery
        negative. What is read here is not weighed yet: type what the lanes have a point for.
      </Typography>
    </Box>
  );
}

function OneTest({
  test: { name, how, caution, answers, liveValue },
  measures,
  units,
}: {
  test: IsolationTest;
  measures: CaseFile['profile']['measures'];
  units: Units;
}) {
  const live =
    liveValue === undefined
      ? 'Live data then shows a substituted value, and a code is set.'
      : `Live data then shows about ${formatWithBasis(liveValue, measures, units.absolute)}; if it does not follow, the unit does not read its input.`;
  return (
    <Box component="section" aria-label={name}>
      <Typography sx={{ fontWeight: 600 }}>{how}</Typography>
      <Cautions cautions={[caution]} />
      <Table
        size="small"
        aria-label={`What each reading of “${name}” means`}
        sx={{ '& td, & th': { px: 1, verticalAlign: 'top' } }}
      >
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 150 }}>Reads</TableCell>
            <TableCell>Means</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {/* What it should read stands first, then the others from low to high. */}
          {answers
            .toSorted((a, b) => Number(b.sound) - Number(a.sound))
            .map((answer) => (
              <TableRow key={answer.lowestVolts}>
                <TableCell sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
                  {rangeInWords(answer)}
                </TableCell>
                <TableCell>
                  {answer.sound ? (
                    <>
                      <strong>✓ As it should: wire and input.</strong> {live}
                      {answer.meanings.length > 0 && (
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                          Cannot be told from it here: {answer.meanings.join(', ')}.
                        </Typography>
                      )}
                    </>
                  ) : (
                    <>{upperFirst(answer.meanings.join(', '))}.</>
                  )}
                </TableCell>
              </TableRow>
            ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** To a tenth: between cars of one kind these volts differ by more. */
function rangeInWords({ lowestVolts, highestVolts }: IsolationAnswer): string {
  const round = (volts: number) => Math.max(0, Math.round(volts * 10) / 10);
  const [low, high] = [round(lowestVolts), round(highestVolts)];
  if (low > PAST_REFERENCE_VOLTS) return `above ${PAST_REFERENCE_VOLTS} V`;
  return low === high ? `about ${low.toFixed(1)} V` : `${low.toFixed(1)} to ${high.toFixed(1)} V`;
}
const PAST_REFERENCE_VOLTS = 5.3;
