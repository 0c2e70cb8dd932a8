import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type WireReading } from '@lettura/core/record/evidence';
import { sameState, sameTarget, type MachineState, type Target } from '@lettura/core/machine/places';
import { expectedReading } from '@lettura/core/judge/expectation';
import {
  answerRead,
  isolationTests,
  type IsolatedSensor,
  type IsolationAnswer,
  type IsolationTest,
} from '@lettura/core/judge/isolation';
import { formatWithBasis } from '@lettura/core/measure/quantity';
import { expectationContext, type CaseFile } from '@lettura/core/judge/checks';
import { LOOM_CAUTION } from '@lettura/core/judge/cautions';
import { useMemo } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import type { Units } from '../../ui/units.ts';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { said } from '../../ui/words.ts';
import { Said } from '../../ui/Said.tsx';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { list, say } from '@lettura/core/measure/message';

const SIGNAL: Target = { kind: 'wire', lane: 'signal', place: 'plug' };
const AT_REST: MachineState = { engine: 'koeo', plug: 'connected' };

type Props = Pick<IsolatePanelProps, 'caseFile' | 'units' | 'onGo'> & {
  sensor: IsolatedSensor;
  chosen: string | null;
  onChoose: (id: IsolationTest['id']) => void;
};

/** Sensor or circuit: each test with what every answer would mean, before anything is unplugged. */
export function IsolationTests({ caseFile, sensor, units, chosen, onGo, onChoose }: Props) {
  // What the signal should be here, so that a sound one is not taken for a bad wire.
  const expected = expectedReading(SIGNAL, AT_REST, expectationContext(caseFile));
  const [lowest, highest] = [expected?.lowest, expected?.highest];
  const tests = useMemo(
    () =>
      isolationTests(sensor, lowest !== undefined && highest !== undefined ? { lowest, highest } : undefined),
    [sensor, lowest, highest],
  );
  const test = tests.find(({ id }) => id === chosen) ?? tests[0];
  return (
    <>
      <Cautions cautions={[LOOM_CAUTION]} />
      <TextField
        select
        size="small"
        label="Test"
        value={test?.id ?? ''}
        onChange={(event) => onChoose(event.target.value as IsolationTest['id'])}
      >
        {tests.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            <Said message={one.name} />
          </MenuItem>
        ))}
      </TextField>
      {test && <OneTest {...{ test, caseFile, units, onGo }} />}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Worked out on the usual circuit of such a sensor
        {caseFile.profile.bias === 'unknown' ? ', its input taken as pulled down' : ''}
        {expected ? '' : ', its sensor taken in the middle of its range'}; volts against battery negative. A
        reading taken here goes on record with what was attached, and is weighed with it.
      </Typography>
    </>
  );
}

function OneTest({
  test,
  caseFile,
  units,
  onGo,
}: Pick<Props, 'caseFile' | 'units' | 'onGo'> & { test: IsolationTest }) {
  const { name, how, caution, answers, state, target, live, about } = test;
  const { measures } = caseFile.profile;
  const taken = takenIn(test, caseFile);
  const read = taken && answerRead(answers, taken.volts);
  return (
    <Box component="section" aria-label={said(name)}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        <Typography sx={{ fontWeight: 600, flex: 1 }}>
          <Said message={how} />
        </Typography>
        <Button variant="contained" onClick={() => onGo(target, state)}>
          {taken ? 'Do it again' : 'Do this test'}
        </Button>
      </Box>
      <Cautions cautions={[caution]} />
      {taken && (
        <Typography role="status" sx={{ fontWeight: 600 }}>
          Read: {voltsInWords(taken.volts)}.{' '}
          {read
            ? 'Its meaning is marked below.'
            : 'No single fault of this circuit gives that: two at once, or a slipped probe.'}
        </Typography>
      )}
      <Table
        size="small"
        aria-label={`What each reading of “${said(name)}” means`}
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
              <TableRow
                key={answer.lowestVolts}
                selected={answer === read}
                aria-current={answer === read ? 'true' : undefined}
              >
                <TableCell sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
                  {answer === read ? '▸ ' : ''}
                  {rangeInWords(answer)}
                </TableCell>
                <TableCell>
                  {answer.sound ? (
                    <>
                      <strong>
                        ✓ {about === 'signal' ? 'As it should: wire and input.' : 'As it should.'}
                      </strong>{' '}
                      {live && liveInWords(live.value, measures, units)}
                      {answer.meanings.length > 0 && (
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                          {about === 'signal'
                            ? 'Cannot be told from it here'
                            : 'Right now and wrong before, it was one of these'}
                          : <Said message={meanings(answer)} />.
                        </Typography>
                      )}
                    </>
                  ) : (
                    <>
                      <Said title message={meanings(answer)} />.
                    </>
                  )}
                </TableCell>
              </TableRow>
            ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** The newest reading taken in just this way. */
const takenIn = (
  { state, target }: IsolationTest,
  { readings, isolation }: CaseFile,
): WireReading | undefined =>
  [...readings, ...isolation].findLast(
    (reading): reading is WireReading =>
      reading.kind === 'wire' && sameTarget(reading, target) && sameState(reading.state, state),
  );

const liveInWords = (
  value: number | undefined,
  measures: CaseFile['profile']['measures'],
  units: Units,
): string =>
  value === undefined
    ? 'Live data then shows a substituted value, and a code is set.'
    : `Live data then shows about ${formatWithBasis(value, measures, units.absolute)}; if it does not follow, the unit does not read its input.`;

/** To a tenth: between cars of one kind these volts differ by more. */
function rangeInWords({ lowestVolts, highestVolts }: IsolationAnswer): string {
  const round = (volts: number) => Math.max(0, Math.round(volts * 10) / 10);
  const [low, high] = [round(lowestVolts), round(highestVolts)];
  if (low > PAST_REFERENCE_VOLTS) return `above ${PAST_REFERENCE_VOLTS} V`;
  return low === high ? `about ${low.toFixed(1)} V` : `${low.toFixed(1)} to ${high.toFixed(1)} V`;
}
const PAST_REFERENCE_VOLTS = 5.3;

const meanings = ({ meanings: all }: IsolationAnswer) => say('isolation.meanings', { meanings: list(all) });
