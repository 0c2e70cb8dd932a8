import Alert from '@mui/material/Alert';
import {
  MOST_FILE_BYTES,
  readSensorFile,
  tooLarge,
  type FileFault,
  type FileReading,
} from '@lettura/contract';
import { useState } from 'react';
import { useImportSensorsMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { FaultList } from './FaultList.tsx';
import { said, t } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';

type Said =
  | { severity: 'success'; message: string; faults: [] }
  | { severity: 'error'; message: string; faults: readonly FileFault[] };

/** Takes in a file of sensors: all of it or nothing, with every fault in words. */
export function ImportSensors() {
  const [told, setSaid] = useState<Said>();
  const [importSensors, { isLoading }] = useImportSensorsMutation();
  const choose = async (file: File) => {
    setSaid(undefined);
    // Asked before reading: a file of many megabytes is not pulled into the page to be refused.
    const read: FileReading =
      file.size > MOST_FILE_BYTES ? tooLarge(file.size) : readSensorFile(await file.text());
    if (!read.ok) {
      return setSaid({ severity: 'error', message: said(problemSaid(read.problem)), faults: read.faults });
    }
    const answer = await importSensors(read.value);
    if ('error' in answer) {
      const problem = requestProblem(answer.error);
      return setSaid({ severity: 'error', message: said(problemSaid(problem)), faults: [] });
    }
    const { added, known } = answer.data;
    setSaid({
      severity: 'success',
      message: t('ui-sensors.added', {
        added,
        which: added === 1 ? 'sensor' : 'sensors',
        which2: known > 0 ? t('ui-sensors.were-here-already', { known }) : '',
      }),
      faults: [],
    });
  };
  return (
    <>
      <FileButton
        accept=".json,application/json"
        disabled={isLoading}
        fullWidth
        onFile={(file) => void choose(file)}
      >
        {isLoading ? t('ui-sensors.importing') : t('ui-sensors.import-file')}
      </FileButton>
      {told && (
        <Alert severity={told.severity} onClose={() => setSaid(undefined)} sx={{ mt: 1 }}>
          {told.message}
          <FaultList faults={told.faults} />
        </Alert>
      )}
    </>
  );
}
