import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { driveSaid, ENGINE_STATES, type MachineState } from '@lettura/core/machine/places';
import { expectedReading } from '@lettura/core/judge/expectation';
import { expectedValue, movedState, type FamilyId } from '@lettura/core/machine/family';
import { NARROW_ONLY, WIDE_ONLY } from '../../ui/wideOnly.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import { expectationInWords, upperFirst } from '../../ui/inWords.ts';
import type { TableProps } from './StimulusRows.tsx';
import { Said } from '../../ui/Said.tsx';
import { problemSaid } from '@lettura/core/measure/problem';
import { valueSaid, t } from '../../ui/words.ts';

/** What to expect in each state before anything is probed, and why; or what is missing to say so. */
export function ExpectedStates({ sensor, surroundings, units }: TableProps) {
  const { family, profile, companion } = sensor;
  const context = {
    family,
    profile,
    companion,
    referenceVolts: profile.nominalReferenceVolts,
    ...surroundings,
  };
  const signal = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
  return (
    <Box>
      <Typography variant="h3" component="h3">
        {t('ui-sensors.expect-plug')}
      </Typography>
      <Table size="small" aria-label={t('ui-sensors.expect-each-state')} sx={{ '& td, & th': { px: 1 } }}>
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-sensors.state')}</TableCell>
            <TableCell align="right">{t('ui-sensors.signal')}</TableCell>
            <TableCell align="right">{t('ui-sensors.live-data')}</TableCell>
            <TableCell sx={WIDE_ONLY}>{t('ui-sensors.because')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {statesOf(family).map((state) => {
            const volts = expectedReading(signal, state, context);
            const live = expectedReading({ kind: 'scan' }, state, context);
            const value = expectedValue(state, context);
            const words = (one: typeof volts, target: Parameters<typeof expectationInWords>[1]) =>
              one ? expectationInWords(one, target, units, surroundings.ambient) : '–';
            const because = volts?.reason ?? (value.ok ? undefined : problemSaid(value.problem));
            return (
              <TableRow key={valueSaid(driveSaid(state))}>
                <TableCell component="th" scope="row">
                  {upperFirst(valueSaid(driveSaid(state)))}
                  <Typography variant="body2" sx={NARROW_ONLY}>
                    {because && <Said message={because} />}
                  </Typography>
                </TableCell>
                <Numeral>{words(volts, signal)}</Numeral>
                <Numeral>{words(live, { kind: 'scan' })}</Numeral>
                <TableCell sx={WIDE_ONLY}>{because && <Said message={because} />}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Box>
  );
}

function statesOf(family: FamilyId): MachineState[] {
  const states = ENGINE_STATES.filter((engine) => engine !== 'key-off').map((engine): MachineState => ({
    engine,
    plug: 'connected',
  }));
  const more = movedState(family);
  return more?.stimulus ? [...states, more] : states;
}
