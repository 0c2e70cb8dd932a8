import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { detailsOf, type Job, type Pin, type Sensor } from '@lettura/contract';
import { LOOM_CAUTION } from '@lettura/core/judge/cautions';
import {
  PLUG_TESTS,
  TERMINAL_COUNTS,
  type PlugReading,
  type PlugTest,
  type TerminalCount,
} from '@lettura/core/judge/wireFinder';
import { useMemo, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { useChangeJobMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { NextTerminal } from './NextTerminal.tsx';
import { plugOf } from './plugOf.ts';
import { TerminalTable } from './TerminalTable.tsx';
import { useFindWires } from './useFindWires.ts';
import {
  selectWires,
  terminalForgotten,
  terminalMeasured,
  terminalsCounted,
  wiresRestarted,
} from './wiresSlice.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

type PlugCan = 'both' | 'on' | 'off';
const ALLOWED: Record<PlugCan, readonly PlugTest[]> = {
  both: PLUG_TESTS,
  on: ['connected-volts', 'moves'],
  off: ['open-volts', 'open-ohms', 'fed'],
};

export interface WiresPanelProps {
  job: Job;
  sensor: Sensor;
  /** What a simulated machine shows at a terminal; undefined on a real one. */
  simulated: ((terminal: number, test: PlugTest) => number) | undefined;
}

/** Which terminal is which, by measurement: diagrams can be wrong, and the plug cannot. */
export function WiresPanel({ job, sensor, simulated }: WiresPanelProps) {
  const jobId = job.id;
  const dispatch = useDispatch();
  const { terminals: counted, readings } = useSelector(useMemo(() => selectWires(jobId), [jobId]));
  const listed = job.pins ?? sensor.pins;
  const terminals = counted ?? countOf(listed);
  const [plugCan, setPlugCan] = useState<PlugCan>('both');
  const { finding, working } = useFindWires(terminals, readings, ALLOWED[plugCan], sensor.profile.bias);
  const [change, { error, isLoading, isSuccess }] = useChangeJobMutation();
  const names = listed.length === terminals ? listed : [];
  const nameOf = (terminal: number) => names[terminal]?.terminal ?? String(terminal + 1);
  const plug = finding && !finding.contradictory ? plugOf(finding.terminals, names) : undefined;
  // Whoever answers one question has the next one under the hand.
  const [isAnswering, setAnswering] = useState(false);
  const measured = (reading: PlugReading) => {
    setAnswering(true);
    dispatch(terminalMeasured({ jobId, reading }));
  };
  const writeDown = async (pins: Pin[]) => {
    await change({ jobId, change: { ...detailsOf(job), pins, revision: job.revision } });
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.25 }}>
      <Cautions cautions={[LOOM_CAUTION]} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label={t('ui-wires.terminals-plug')}
          value={terminals}
          onChange={(_event, chosen: TerminalCount | null) =>
            chosen && dispatch(terminalsCounted({ jobId, terminals: chosen }))
          }
        >
          {TERMINAL_COUNTS.map((count) => (
            <ToggleButton key={count} value={count}>
              {t('ui-wires.terminals-2', { count })}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label={t('ui-wires.can-done-plug')}
          value={plugCan}
          onChange={(_event, chosen: PlugCan | null) => chosen && setPlugCan(chosen)}
        >
          <ToggleButton value="both">{t('ui-wires.on-and-off')}</ToggleButton>
          <ToggleButton value="on">{t('ui-wires.stays-on')}</ToggleButton>
          <ToggleButton value="off">{t('ui-wires.stays-off')}</ToggleButton>
        </ToggleButtonGroup>
        {readings.length > 0 && (
          <Button color="inherit" onClick={() => dispatch(wiresRestarted(jobId))}>
            {t('ui-wires.start-over')}
          </Button>
        )}
      </Box>
      {finding?.contradictory && (
        <Alert severity="warning">{t('ui-wires.no-body-terminals-sound-one', { terminals })}</Alert>
      )}
      {finding?.next && (
        <NextTerminal
          key={`${finding.next.terminal} ${finding.next.test}`}
          name={nameOf(finding.next.terminal)}
          next={finding.next}
          working={working}
          isInHand={isAnswering}
          simulated={simulated}
          onMeasured={measured}
        />
      )}
      {!finding && <Typography aria-live="polite">{t('ui-wires.working-out-such-plug-can')}</Typography>}
      {finding && !finding.next && !finding.contradictory && (
        <Typography sx={{ fontWeight: 600 }}>
          {finding.terminals.every(({ confidence }) => confidence === 'certain')
            ? t('ui-wires.every-terminal-named-certain')
            : t('ui-wires.no-further-measurement-here-would')}
        </Typography>
      )}
      {finding && (
        <TerminalTable
          finding={finding}
          readings={readings}
          listed={names}
          nameOf={nameOf}
          onForget={(reading) => dispatch(terminalForgotten({ jobId, reading }))}
        />
      )}
      {finding?.terminals.some(({ confidence }) => confidence === 'certain') && (
        <Typography variant="body2">
          {t('ui-wires.certain-no-other-body-terminals', { terminals })}
        </Typography>
      )}
      {plug && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
          <Button
            variant="contained"
            disabled={isLoading || job.deletedAt !== undefined}
            onClick={() => void writeDown(plug)}
          >
            {t('ui-wires.write-these-names-onto-job')}
          </Button>
          {isSuccess && <Typography role="status">{t('ui-wires.written-down-they-stand-under')}</Typography>}
        </Box>
      )}
      {error && (
        <Alert severity="error">
          <SaidProblem problem={requestProblem(error)} />
        </Alert>
      )}
    </Box>
  );
}

const countOf = (pins: readonly Pin[]): TerminalCount =>
  TERMINAL_COUNTS.find((count) => count === pins.length) ?? 3;
