import app from './app.json' with { type: 'json' };
import causes from './causes.json' with { type: 'json' };
import cautions from './cautions.json' with { type: 'json' };
import checks from './checks.json' with { type: 'json' };
import codes from './codes.json' with { type: 'json' };
import compare from './compare.json' with { type: 'json' };
import doubt from './doubt.json' with { type: 'json' };
import entry from './entry.json' with { type: 'json' };
import expectation from './expectation.json' with { type: 'json' };
import families from './families.json' with { type: 'json' };
import faults from './faults.json' with { type: 'json' };
import feed from './feed.json' with { type: 'json' };
import file from './file.json' with { type: 'json' };
import followUp from './follow-up.json' with { type: 'json' };
import gate from './gate.json' with { type: 'json' };
import isolation from './isolation.json' with { type: 'json' };
import liveItems from './live-items.json' with { type: 'json' };
import looks from './looks.json' with { type: 'json' };
import onBoard from './on-board.json' with { type: 'json' };
import outcomes from './outcomes.json' with { type: 'json' };
import places from './places.json' with { type: 'json' };
import practice from './practice.json' with { type: 'json' };
import priors from './priors.json' with { type: 'json' };
import quantity from './quantity.json' with { type: 'json' };
import refusal from './refusal.json' with { type: 'json' };
import say from './say.json' with { type: 'json' };
import server from './server.json' with { type: 'json' };
import sites from './sites.json' with { type: 'json' };
import sweep from './sweep.json' with { type: 'json' };
import transfer from './transfer.json' with { type: 'json' };
import ui from './ui.json' with { type: 'json' };
import uiHelp from './ui-help.json' with { type: 'json' };
import uiAmbient from './ui-ambient.json' with { type: 'json' };
import uiApp from './ui-app.json' with { type: 'json' };
import uiBench from './ui-bench.json' with { type: 'json' };
import uiInstruments from './ui-instruments.json' with { type: 'json' };
import uiIsolate from './ui-isolate.json' with { type: 'json' };
import uiJobs from './ui-jobs.json' with { type: 'json' };
import uiLive from './ui-live.json' with { type: 'json' };
import uiMachines from './ui-machines.json' with { type: 'json' };
import uiOutbox from './ui-outbox.json' with { type: 'json' };
import uiRecord from './ui-record.json' with { type: 'json' };
import uiOnBoard from './ui-on-board.json' with { type: 'json' };
import uiReference from './ui-reference.json' with { type: 'json' };
import uiReport from './ui-report.json' with { type: 'json' };
import uiSensors from './ui-sensors.json' with { type: 'json' };
import uiSheet from './ui-sheet.json' with { type: 'json' };
import uiSweeps from './ui-sweeps.json' with { type: 'json' };
import uiWires from './ui-wires.json' with { type: 'json' };
import verdicts from './verdicts.json' with { type: 'json' };
import weighing from './weighing.json' with { type: 'json' };
import work from './work.json' with { type: 'json' };
import wires from './wires.json' with { type: 'json' };

/** Every message in English, the only language that people wrote so far. */
export const ENGLISH_MESSAGES: Readonly<Record<string, string>> = {
  ...app,
  ...causes,
  ...cautions,
  ...checks,
  ...codes,
  ...compare,
  ...doubt,
  ...entry,
  ...expectation,
  ...families,
  ...faults,
  ...feed,
  ...file,
  ...followUp,
  ...gate,
  ...isolation,
  ...liveItems,
  ...looks,
  ...onBoard,
  ...outcomes,
  ...places,
  ...practice,
  ...priors,
  ...quantity,
  ...refusal,
  ...say,
  ...server,
  ...sites,
  ...sweep,
  ...transfer,
  ...ui,
  ...uiHelp,
  ...uiAmbient,
  ...uiApp,
  ...uiBench,
  ...uiInstruments,
  ...uiIsolate,
  ...uiJobs,
  ...uiLive,
  ...uiMachines,
  ...uiOutbox,
  ...uiRecord,
  ...uiOnBoard,
  ...uiReference,
  ...uiReport,
  ...uiSensors,
  ...uiSheet,
  ...uiSweeps,
  ...uiWires,
  ...verdicts,
  ...weighing,
  ...work,
  ...wires,
};
