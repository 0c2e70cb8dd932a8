import { canBeCaptured, canBeSwept, captureTelegrams, recordSweep, whatWasWrong } from '@lettura/bench';
import type { FeedInfo, Reading } from '@lettura/contract';
import type { Lane, MachineState, Target } from '@lettura/core/machine/places';
import { expectedReading } from '@lettura/core/judge/expectation';
import { expectationContext } from '@lettura/core/judge/checks';
import { useDispatch, useSelector } from 'react-redux';
import { useListFeedsQuery } from '../../app/api.ts';
import { selectInstruments, selectUnits } from '../../app/preferences.ts';
import { BenchPanel, BenchTools, machineOf, simulatedPlug, type MeterSet } from '../bench/index.ts';
import { LiveInstrument } from '../live/index.ts';
import { IsolatePanel } from '../isolate/index.ts';
import { SweepSection } from '../sweeps/index.ts';
import { WiresPanel } from '../wires/index.ts';
import { useScreen } from '../../ui/useScreen.ts';
import { AmbientPanel } from './AmbientPanel.tsx';
import { ComparePanel } from './ComparePanel.tsx';
import { JobPanel } from './JobPanel.tsx';
import { Keypad } from './Keypad.tsx';
import { PumpPanel } from './PumpPanel.tsx';
import { pumpInHand } from './pumpInHand.ts';
import { ReadingPanel } from './ReadingPanel.tsx';
import { RecordList } from './RecordList.tsx';
import { recordLines } from './recordLines.ts';
import { RepairPanel } from './RepairPanel.tsx';
import type { Section } from './sections.ts';
import { correctionStarted, stateSet } from './sheetSlice.ts';
import { unitKey } from './unitKey.ts';
import { TakenWith } from './TakenWith.tsx';
import type { EntryActions } from './useEntry.ts';
import { useInHand } from './useInHand.ts';
import type { Sheet } from './useSheet.ts';
import { VerdictPanel } from './VerdictPanel.tsx';

export interface SheetSectionProps {
  section: Section;
  sheet: Sheet;
  /** Something other than the record is being weighed. */
  triedOn: boolean;
  /** Where the probes of the simulated meter are wanted. */
  probes: MeterSet | undefined;
  /** The wires that are drawn. */
  lanes: readonly Lane[];
  entry: EntryActions;
  onDraft: (text: string) => void;
  onSave: (text: string) => void;
  /** Brings the typing back to the quick entry. */
  onType: () => void;
  /** Brings the machine into a state, and the quick entry to a point. */
  onGo: (target: Target, state: MachineState) => void;
}

const NO_FEEDS: readonly FeedInfo[] = [];

/** The section in hand, with its few controls. */
export function SheetSection({
  section,
  sheet,
  triedOn,
  probes,
  lanes,
  entry,
  onDraft,
  onSave,
  onType,
  onGo,
}: SheetSectionProps) {
  const { job, sensor, caseFile } = sheet;
  const { state, selected } = useInHand(job.id);
  const screen = useScreen();
  const units = useSelector(selectUnits);
  const chosen = useSelector(selectInstruments);
  const dispatch = useDispatch();
  const correct = (reading: Reading) => {
    // The value may have been wrong; the state it was read in was not.
    if ('state' in reading)
      dispatch(stateSet({ jobId: job.id, stimulus: undefined, harness: undefined, ...reading.state }));
    dispatch(correctionStarted({ jobId: job.id, id: reading.id, draft: reading.enteredText }));
    onType();
  };
  const { data: feeds } = useListFeedsQuery();
  const instrument = sheet.bench ? (
    <BenchPanel bench={sheet.bench} state={state} target={selected} onTake={(text) => entry.enter(text)} />
  ) : (
    <LiveInstrument
      target={selected}
      sensor={sensor}
      feeds={feeds ?? NO_FEEDS}
      expectation={expectedReading(selected, state, expectationContext(caseFile))}
      onTake={(text) => entry.enter(text)}
    />
  );
  switch (section) {
    case 'reading':
      return (
        <ReadingPanel
          sheet={sheet}
          state={state}
          target={selected}
          units={units}
          takenWith={<TakenWith kind={selected.kind} instruments={sheet.instruments} />}
          instrument={instrument}
          keypad={
            // Narrower, it stands with the line that it types into.
            screen === 'laptop' && (
              <Keypad jobId={job.id} unit={unitKey(selected, caseFile)} onDraft={onDraft} onSave={onSave} />
            )
          }
          onTakeBack={entry.takeBack}
          onCorrect={correct}
        />
      );
    case 'pump':
      return (
        <PumpPanel
          caseFile={caseFile}
          pump={pumpInHand(sheet, chosen)}
          units={units}
          disabled={job.deletedAt !== undefined}
          onEnter={entry.enterSignal}
        />
      );
    case 'wires':
      return <WiresPanel job={job} sensor={sensor} simulated={sheet.bench && simulatedPlug(sheet.bench)} />;
    case 'bench':
      return (
        sheet.bench && (
          <BenchTools
            key={JSON.stringify(probes)}
            start={probes}
            bench={sheet.bench}
            state={state}
            onState={(change) => dispatch(stateSet({ jobId: job.id, ...change }))}
            onTake={({ mode, red, black }, inState, text) =>
              entry.enterBetween(mode === 'volts' ? 'between' : 'ohms', [red, black], inState, text)
            }
          />
        )
      );
    case 'sweeps': {
      const machine = sheet.bench && machineOf(sheet.bench);
      return (
        <SweepSection
          jobId={job.id}
          recordings={sheet.recordings}
          context={{
            profile: sensor.profile,
            companion: sensor.companion,
            ambientKpaAbs: caseFile.ambient?.pressureKpaAbs,
          }}
          record={machine && canBeSwept(machine) ? () => recordSweep(machine, state, Date.now()) : undefined}
          capture={
            machine && canBeCaptured(machine) ? () => captureTelegrams(machine, state, Date.now()) : undefined
          }
        />
      );
    }
    case 'compare':
      return (
        <ComparePanel
          jobId={sheet.job.id}
          {...{ caseFile, state, units }}
          simulated={sheet.bench && machineOf(sheet.bench)}
          onEngineFlow={entry.enterEngineFlow}
        />
      );
    case 'isolate':
      return (
        <IsolatePanel
          {...{ caseFile, lanes, state, units, onGo }}
          onBetween={entry.enterBetween}
          instrument={instrument}
        />
      );
    case 'ambient':
      return <AmbientPanel unit={units.absolute} onEnter={entry.enterAmbient} />;
    case 'record':
      return <RecordList lines={recordLines(sheet, units)} onTakeBack={entry.takeBack} onCorrect={correct} />;
    case 'verdict':
      return (
        <VerdictPanel
          jobId={job.id}
          family={sensor.family}
          triedOn={triedOn}
          verdicts={sheet.verdicts}
          revealed={job.bench && whatWasWrong(machineOf(job.bench))}
        />
      );
    case 'repair':
      return (
        <RepairPanel
          sheet={sheet}
          units={units}
          disabled={job.deletedAt !== undefined}
          onWork={entry.enterWork}
          onFollowUp={entry.enterFollowUp}
          onTakeBack={entry.takeBack}
          onRepeat={entry.repeat}
        />
      );
    case 'job':
      return (
        <JobPanel
          {...{ job, sensor }}
          vehicle={sheet.vehicle}
          unsent={sheet.unsentIds.size}
          onFollowUp={entry.enterFollowUp}
          onWork={entry.enterWork}
        />
      );
  }
}
