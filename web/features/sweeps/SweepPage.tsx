import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { RecordingInfo } from '@lettura/contract';
import { fixed } from '@lettura/core/measure/message';
import type { Measurand } from '@lettura/core/measure/quantity';
import type { Problem } from '@lettura/core/measure/problem';
import { channelScale, LINE_FINDINGS, sweepBand, type SweepFinding } from '@lettura/core/recording/sweep';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link, useParams } from 'react-router';
import { useJobSheetQuery } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { dayAndTime } from '../../ui/when.ts';
import { ambientOf } from './ambientOf.ts';
import { CalibrationPanel } from './CalibrationPanel.tsx';
import { AgainstPlot } from './AgainstPlot.tsx';
import { FindingList } from './FindingList.tsx';
import { PAPER } from '../../ui/paper.ts';
import { MarkList } from './MarkList.tsx';
import { StepTable } from './StepTable.tsx';
import { RevisePanel } from './RevisePanel.tsx';
import { RestTable } from './RestTable.tsx';
import { TelegramPanel } from './TelegramPanel.tsx';
import { CutPanel } from './CutPanel.tsx';
import { SweepPlots } from './SweepPlots.tsx';
import { SweepExports } from './SweepExports.tsx';
import type { LaidRulers, Rulers } from './rulers.ts';
import { inMs, timeShown } from './timeWords.ts';
import { useTelegrams } from './useTelegrams.ts';
import { useSweepWorker, type AskSweep } from './useSweepWorker.ts';
import { useRevise } from './useRevise.ts';
import { useView } from './useView.ts';
import { t } from '../../ui/words.ts';

/** One recording: every channel over time at any zoom, and what was found in it. */
export default function SweepPage() {
  const { recordingId = '' } = useParams();
  return <Sweep key={recordingId} recordingId={recordingId} />;
}

function Sweep({ recordingId }: { recordingId: string }) {
  const { ask } = useSweepWorker();
  const [loaded, setLoaded] = useState<RecordingInfo>();
  const [problem, setProblem] = useState<Problem>();
  // Said anew, it is fetched anew: page, worker and what is exported then mean the same.
  const [revisions, setRevisions] = useState(0);
  // What was looked at stays in view meanwhile, and rulers stay where they were laid.
  const looks = useView(loaded?.durationSeconds ?? 0);
  const laid = useState<Rulers>([]);
  useEffect(() => {
    let current = true;
    void ask('fetch', { id: recordingId }).then((fetched) => {
      if (!current) return;
      if (!fetched.ok) setProblem(fetched.problem);
      else {
        document.title = `${fetched.value.name} · Lettura`;
        setLoaded(fetched.value);
      }
    });
    return () => {
      current = false;
    };
  }, [recordingId, revisions, ask]);
  if (problem) return <Trouble {...problem} />;
  return loaded?.id === recordingId ? (
    <LoadedSweep
      key={loaded.revision?.revisedAt}
      recording={loaded}
      ask={ask}
      looks={looks}
      laid={laid}
      onRevised={() => setRevisions(revisions + 1)}
    />
  ) : (
    <Loading what={t('ui-sweeps.the-recording')} />
  );
}

/** What may be on either side is worked out in volts and the sensor's unit: it is not drawn over anything else. */
function inCoreUnits({ use, unit, basis }: RecordingInfo['channels'][number], measures: Measurand): boolean {
  const read = channelScale({ use, unit, basis, measures, ambientKpaAbs: undefined });
  return !('question' in read) && read.scale === 1 && read.offset === 0;
}

interface LoadedSweepProps {
  recording: RecordingInfo;
  ask: AskSweep;
  looks: ReturnType<typeof useView>;
  laid: LaidRulers;
  onRevised: () => void;
}

function LoadedSweep({ recording, ask, looks, laid, onRevised }: LoadedSweepProps) {
  const { channels, durationSeconds, samples, findings, marks, note, jobId, name } = recording;
  const { view, ...to } = looks;
  const [marked, setMarked] = useState<SweepFinding>();
  const plot = useRef<HTMLDivElement>(null);
  const { data: sheet } = useJobSheetQuery(jobId);
  const units = useSelector(selectUnits);
  const revise = useRevise(recording, sheet, ask, onRevised);
  const signal = channels.findIndex(({ use }) => use === 'signal');
  const { fromSeconds, toSeconds } = view;
  const band = useMemo(
    () =>
      sheet &&
      sweepBand({
        profile: sheet.sensor.profile,
        companion: sheet.sensor.companion,
        uses: channels.map((one) => (inCoreUnits(one, sheet.sensor.profile.measures) ? one.use : 'other')),
      }),
    [sheet, channels],
  );
  const read = useMemo(
    () =>
      sheet
        ? {
            profile: sheet.sensor.profile,
            companion: sheet.sensor.companion,
            ambientKpaAbs: ambientOf(sheet),
            uses: channels.map(({ use }) => use),
            bases: channels.map(({ basis }) => basis),
          }
        : undefined,
    [sheet, channels],
  );
  const show = (finding: SweepFinding) => {
    setMarked(finding);
    to.show({ fromSeconds: finding.fromSeconds, toSeconds: finding.untilSeconds });
  };
  const inPart = toSeconds - fromSeconds < durationSeconds;
  const isLine = findings.some(({ kind }) => LINE_FINDINGS.includes(kind));
  const telegrams = useTelegrams(ask, findings.some(({ kind }) => kind === 'telegrams') ? signal : -1);
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={name}>
        <Button component={Link} to={`/jobs/${jobId}`} color="inherit">
          {t('ui-sweeps.to-the-job')}
        </Button>
      </PageHeader>
      <Box
        component="main"
        sx={{
          p: 2,
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 376px' },
        }}
      >
        <Box sx={PAPER}>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mb: 0.5 }}>
            <Typography sx={{ flex: 1, minWidth: 220 }}>
              {t('ui-sweeps.samples-s-view-s', {
                dayAndTime: dayAndTime(recording.takenAt),
                samples: samples.toLocaleString('en-GB'),
                duration: timeShown(durationSeconds, 1, durationSeconds),
                from: fixed(fromSeconds * (inMs(toSeconds - fromSeconds) ? 1000 : 1), 2),
                to: timeShown(toSeconds, 2, toSeconds - fromSeconds),
              })}
            </Typography>
            <Button variant="outlined" onClick={to.earlier} aria-label={t('ui-sweeps.earlier')}>
              ◂
            </Button>
            <Button variant="outlined" onClick={to.nearer}>
              {t('ui-sweeps.closer')}
            </Button>
            <Button variant="outlined" onClick={to.farther}>
              {t('ui-sweeps.wider')}
            </Button>
            <Button variant="outlined" onClick={to.later} aria-label={t('ui-sweeps.later')}>
              ▸
            </Button>
            <Button variant="outlined" onClick={to.all}>
              {t('ui-sweeps.all')}
            </Button>
          </Box>
          <SweepPlots
            {...{ recording, sheet, ask, looks, laid, marked, plot, revise }}
            telegrams={telegrams?.telegrams}
          />
          {band && !isLine && <AgainstPlot ask={ask} band={band} channels={channels} />}
          <SweepExports recording={recording} ask={ask} plot={plot} view={inPart ? view : undefined} />
          {sheet && inPart && <CutPanel recording={recording} sheet={sheet} view={view} />}
          {read && !isLine && (
            <CalibrationPanel ask={ask} context={read} pressureUnit={units.absolute} name={name} />
          )}
          {read && signal >= 0 && !isLine && (
            <StepTable
              ask={ask}
              context={read}
              sampleSeconds={durationSeconds / Math.max(1, samples - 1)}
              onShow={to.show}
            />
          )}
          {sheet && telegrams && (
            <TelegramPanel
              read={telegrams}
              profile={sheet.sensor.profile}
              pressureUnit={units.absolute}
              name={name}
              onShow={to.fill}
            />
          )}
        </Box>
        {/* In portrait what was found stands above the plots, and what only explains it below them. */}
        <Box
          sx={{
            display: { xs: 'contents', md: 'flex' },
            flexDirection: 'column',
            gap: 1.5,
            alignSelf: 'start',
          }}
        >
          <Box
            component="section"
            aria-label={t('ui-sweeps.what-was-found')}
            sx={{ ...PAPER, order: { xs: -1, md: 0 } }}
          >
            <Typography variant="h2">{t('ui-sweeps.what-was-found')}</Typography>
            <FindingList findings={findings} marked={marked} onShow={show} />
            {note !== '' && (
              <Typography sx={{ mt: 1 }}>
                <strong>{t('ui-sweeps.note')}</strong> {note}
              </Typography>
            )}
          </Box>
          {sheet && <RevisePanel recording={recording} revise={revise} />}
          <MarkList
            marks={marks}
            onShow={({ atSeconds: at }) => to.show({ fromSeconds: at, toSeconds: at })}
          />
          {sheet && signal >= 0 && !isLine && (
            <RestTable
              ask={ask}
              channel={signal}
              unit={channels[signal]?.unit ?? ''}
              profile={sheet.sensor.profile}
              pressureUnit={units.absolute}
              referenceRecorded={channels.some(({ use }) => use === 'reference')}
              marks={marks}
              onShow={to.show}
            />
          )}
        </Box>
      </Box>
    </Box>
  );
}
