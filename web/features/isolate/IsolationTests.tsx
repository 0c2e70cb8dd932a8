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
import { said, t } from '../../ui/words.ts';
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
        label={t('ui-isolate.test')}
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
        {t('ui-isolate.worked-out-usual-circuit-such', {
          which: caseFile.profile.bias === 'unknown' ? t('ui-isolate.input-taken-pulled-down') : '',
          which2: expected ? '' : t('ui-isolate.sensor-taken-middle-range'),
        })}
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
          {taken ? t('ui-isolate.do-again') : t('ui-isolate.do-test')}
        </Button>
      </Box>
      <Cautions cautions={[caution]} />
      {taken && (
        <Typography role="status" sx={{ fontWeight: 600 }}>
          {t('ui-isolate.read', {
            volts: voltsInWords(taken.volts),
            which: read
              ? t('ui-isolate.meaning-marked-below')
              : t('ui-isolate.no-single-fault-circuit-gives'),
          })}
        </Typography>
      )}
      <Table
        size="small"
        aria-label={t('ui-isolate.each-reading-means', { name: said(name) })}
        sx={{ '& td, & th': { px: 1, verticalAlign: 'top' } }}
      >
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 150 }}>{t('ui-isolate.reads')}</TableCell>
            <TableCell>{t('ui-isolate.means')}</TableCell>
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
                        ✓{' '}
                        {about === 'signal'
                          ? t('ui-isolate.should-wire-input')
                          : t('ui-isolate.as-it-should')}
                      </strong>{' '}
                      {live && liveInWords(live.value, measures, units)}
                      {answer.meanings.length > 0 && (
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                          {about === 'signal'
                            ? t('ui-isolate.cannot-told-here')
                            : t('ui-isolate.right-now-wrong-before-one')}
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
    ? t('ui-isolate.live-data-then-shows-substituted')
    : t('ui-isolate.live-data-then-shows-about', { value: formatWithBasis(value, measures, units.absolute) });

/** To a tenth: between cars of one kind these volts differ by more. */
function rangeInWords({ lowestVolts, highestVolts }: IsolationAnswer): string {
  const round = (volts: number) => Math.max(0, Math.round(volts * 10) / 10);
  const [low, high] = [round(lowestVolts), round(highestVolts)];
  if (low > PAST_REFERENCE_VOLTS)
    return t('ui-isolate.above-v', { pastreferencevolts: PAST_REFERENCE_VOLTS });
  return low === high
    ? t('ui-isolate.about-v', { low: low.toFixed(1) })
    : t('ui-isolate.to-v', { low: low.toFixed(1), high: high.toFixed(1) });
}
const PAST_REFERENCE_VOLTS = 5.3;

const meanings = ({ meanings: all }: IsolationAnswer) => say('isolation.meanings', { meanings: list(all) });
