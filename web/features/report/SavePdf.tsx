import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { requestProblem, type RequestProblem } from '../../app/requestProblem.ts';
import { downloadBlob } from '../../ui/downloadText.ts';
import { fileName } from '../../ui/fileName.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import type { Units } from '../../ui/units.ts';
import { LANGUAGE } from '../../ui/language.ts';
import { t } from '../../ui/words.ts';

/** The report as a PDF, which the server weighs and sets: that takes it some seconds. */
export function SavePdf({
  jobId,
  machine,
  unsent,
  units,
}: {
  jobId: string;
  machine: string;
  /** So many entries wait in this browser: the server does not have them yet. */
  unsent: number;
  units: Units;
}) {
  const [making, setMaking] = useState(false);
  const [problem, setProblem] = useState<RequestProblem>();
  const make = async () => {
    setMaking(true);
    setProblem(undefined);
    try {
      const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
      const reader = new URLSearchParams({ language: LANGUAGE, ...units, timeZone });
      const answer = await fetch(`/api/jobs/${jobId}/report.pdf?${reader.toString()}`);
      if (answer.ok) downloadBlob(`lettura-report-${fileName(machine)}.pdf`, await answer.blob());
      else setProblem(requestProblem({ status: answer.status, data: await answer.text() }));
    } catch (error) {
      setProblem(requestProblem(error));
    } finally {
      setMaking(false);
    }
  };
  return (
    <>
      <Button variant="outlined" color="inherit" disabled={making} onClick={() => void make()}>
        {making
          ? t('ui-report.pdf-being-made')
          : unsent > 0
            ? t('ui-report.save-pdf-without', { unsent })
            : t('ui-report.save-pdf')}
      </Button>
      {problem && (
        <Alert severity="error" sx={{ width: '100%' }}>
          <SaidProblem problem={problem} />
        </Alert>
      )}
    </>
  );
}
