import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { SimulatedHand } from '@lettura/bench';
import type { Problem } from '@lettura/core/measure/problem';
import { sweepGuides, type GuideStep } from '@lettura/core/judge/checks';
import type { ChannelUse, Recording } from '@lettura/core/recording/sweep';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { PAPER } from '../../ui/paper.ts';
import { useSource, type CaptureInfo, type LiveSource } from '../live/index.ts';
import type { Sheet } from '../sheet/index.ts';
import { usesOf } from '../sweeps/index.ts';
import { GuideSteps } from './GuideSteps.tsx';
import { Leftovers } from './Leftovers.tsx';
import { LiveStrips } from './LiveStrips.tsx';
import { MarksAndNote } from './MarksAndNote.tsx';
import { useCapture, type Captured } from './useCapture.ts';
import { useKeepCapture } from './useKeepCapture.ts';
import { useRecorderKeys } from './useRecorderKeys.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { wordsIn, titled, t } from '../../ui/words.ts';

export interface RecorderProps {
  sheet: Sheet;
  source: LiveSource;
  hand: SimulatedHand | undefined;
  /** The choice of a source, which is fixed while it records. */
  choice: ReactNode;
  onBusy: (busy: boolean) => void;
}

/** As long as a hand takes, in seconds. */
const MOVES = { 'slow-travel': 4, snap: 0.06, pump: 0.8, revs: 0 } as const;
const MOST_NAME_LETTERS = 120;

/** One source as it comes, and the recording of it. */
export function Recorder({ sheet, source, hand, choice, onBusy }: RecorderProps) {
  const units = useSelector(selectUnits);
  const { sensor, caseFile, job } = sheet;
  const [uses, setUses] = useState<ChannelUse[]>(() => [
    ...(source.uses ?? usesOf(source.channels, sensor.companion)),
  ]);
  const guides = useMemo(
    () => sweepGuides(caseFile, { vacuum: units.vacuum, absolute: units.absolute }),
    [caseFile, units.vacuum, units.absolute],
  );
  const [guideId, setGuideId] = useState<string | undefined>(guides[0]?.id);
  const [at, setAt] = useState(0);
  const guide = guides.find(({ id }) => id === guideId);
  const step = guide?.steps[at];
  const [note, setNote] = useState('');
  const name = `${guide ? titled(guide.name) : 'Live'}, ${source.name}`.slice(0, MOST_NAME_LETTERS);
  const capture = useCapture(job.id, source, uses, { name, note });
  const view = useSource(source, capture.take);
  const { running } = capture;

  const keep = useKeepCapture(sheet);
  const [keeping, setKeeping] = useState(false);
  const [problem, setProblem] = useState<Problem>();
  /** Refused by the server, and not on this browser's disk either. */
  const [inHand, setInHand] = useState<Captured>();
  useEffect(() => onBusy(running || keeping), [running, keeping, onBusy]);

  const keepOrSay = async (info: CaptureInfo, recording: Recording) => {
    setKeeping(true);
    const refused = await keep(info, recording);
    setProblem(refused);
    setKeeping(false);
    return refused;
  };
  const keepCaptured = async (taken: Captured) => {
    const refused = await keepOrSay(taken.info, taken.recording);
    setInHand(refused && !taken.onDisk ? taken : undefined);
  };
  const start = () => {
    setProblem(undefined);
    setInHand(undefined);
    setAt(0);
    capture.start();
  };
  const stop = async () => {
    setKeeping(true);
    const taken = await capture.stop();
    if (taken) await keepCaptured(taken);
    else setKeeping(false);
  };
  const mark = () => {
    capture.mark(
      step ? wordsIn(units).say(step.words) : t('ui-record.mark', { length: capture.marks.length + 1 }),
      step?.expectedVolts,
    );
    if (guide && at < guide.steps.length - 1) setAt(at + 1);
  };
  const moveHand = (to: GuideStep) => {
    if (guide) hand?.moveTo(to.state, MOVES[guide.id], Date.now());
  };
  const canStart = view.fresh && !keeping && !inHand;
  const toggle = running ? () => void stop() : start;
  useRecorderKeys({
    r: !keeping && (running || canStart) ? toggle : undefined,
    m: running ? mark : undefined,
  });

  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        minHeight: 0,
        p: 1.5,
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) 300px', md: 'minmax(0, 1fr) 352px' },
      }}
    >
      <Box sx={{ ...PAPER, display: 'flex', flexDirection: 'column', minHeight: 0 }}>
        <LiveStrips
          source={source}
          view={view}
          context={{
            profile: sensor.profile,
            companion: sensor.companion,
            uses,
          }}
          fixedUses={running || source.uses !== undefined}
          onUse={(channel, use) => setUses(uses.map((other, i) => (i === channel ? use : other)))}
          expected={step?.expectedVolts}
          marks={capture.marks}
          startedMs={running ? capture.startedMs : undefined}
        />
      </Box>
      <Box sx={{ ...PAPER, overflowY: { md: 'auto' }, display: 'flex', flexDirection: 'column', gap: 1.25 }}>
        {/* What is being taken or sent is nothing left over. */}
        {!running && !keeping && <Leftovers jobId={job.id} onKeep={keepOrSay} />}
        {choice}
        <Box sx={{ display: 'grid', gridTemplateColumns: '3fr 2fr', gap: 1 }}>
          <Button
            variant="contained"
            size="large"
            color={running ? 'error' : 'primary'}
            disabled={running ? keeping : !canStart}
            onClick={toggle}
            aria-keyshortcuts="r"
          >
            {running ? t('ui-record.stop-keep-r') : t('ui-record.record-r')}
          </Button>
          <Button variant="outlined" size="large" disabled={!running} onClick={mark} aria-keyshortcuts="m">
            {t('ui-record.mark-m')}
          </Button>
        </Box>
        <Typography role="status" sx={{ minHeight: '1.5em' }}>
          {running
            ? t('ui-record.recording-samples', {
                samples: capture.samples.toLocaleString('en-GB'),
                which: view.fresh ? '' : t('ui-record.nothing-arrives-gap-will-show'),
              })
            : keeping
              ? t('ui-record.putting-job')
              : t('ui-record.nothing-being-recorded')}
        </Typography>
        {capture.problem && <Alert severity="warning">{capture.problem}</Alert>}
        {problem && (
          <Alert
            severity="error"
            action={
              inHand && (
                <Button color="inherit" onClick={() => void keepCaptured(inHand)}>
                  {t('ui-record.try-again')}
                </Button>
              )
            }
          >
            <SaidProblem problem={problem} />{' '}
            {inHand ? t('ui-record.recording-page-alone-keep-before') : t('ui-record.recording-safe-browser')}
          </Alert>
        )}
        <GuideSteps
          guides={guides}
          guide={guide}
          at={at}
          onGuide={(id) => {
            setGuideId(id);
            setAt(0);
          }}
          onStep={setAt}
          onDo={hand ? moveHand : undefined}
        />
        <MarksAndNote marks={capture.marks} note={note} onNote={setNote} />
      </Box>
    </Box>
  );
}
