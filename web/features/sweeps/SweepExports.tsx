import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import type { RecordingInfo } from '@lettura/contract';
import { csvMetadata } from '@lettura/core/recording/file';
import type { RefObject } from 'react';
import { downloadBlob, downloadText } from '../../ui/downloadText.ts';
import { fileName } from '../../ui/fileName.ts';
import { t } from '../../ui/words.ts';
import { plotImage } from './plotImage.ts';
import type { AskSweep } from './useSweepWorker.ts';

export interface SweepExportsProps {
  recording: RecordingInfo;
  ask: AskSweep;
  /** What is drawn, for the picture of it. */
  plot: RefObject<HTMLElement | null>;
}

/** A recording taken along: the plot as it is seen, and its numbers. */
export function SweepExports({ recording, ask, plot }: SweepExportsProps) {
  const { name, channels, marks, note } = recording;
  const { palette } = useTheme();
  const exportCsv = async () => {
    const file = `${fileName(name)}.csv`;
    const csv = await ask('csv', {});
    if (!csv.ok) return;
    downloadBlob(file, csv.value);
    const metadata = csvMetadata(
      { channels: channels.map((one) => ({ ...one, values: new Float64Array(0) })) },
      file,
    );
    downloadText(`${file}-metadata.json`, 'application/csvm+json', JSON.stringify(metadata, undefined, 2));
  };
  const exportJson = async () => {
    const heading = {
      name,
      takenAt: recording.takenAt,
      uses: channels.map(({ use }) => use),
      bases: channels.map(({ basis }) => basis),
      marks,
      note,
    };
    const json = await ask('json', { heading });
    if (json.ok) downloadBlob(`${fileName(name)}.json`, json.value);
  };
  const exportPicture = async () => {
    const picture =
      plot.current &&
      (await plotImage(
        plot.current,
        channels.map((one) => one.name),
        { background: palette.background.paper, ink: palette.text.primary },
      ));
    if (picture) downloadBlob(`${fileName(name)}.png`, picture);
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
      <Button variant="outlined" onClick={() => void exportPicture()}>
        {t('ui-sweeps.save-plot-picture')}
      </Button>
      <Button variant="outlined" onClick={() => void exportCsv()}>
        {t('ui-sweeps.export-csv-description')}
      </Button>
      <Button variant="outlined" onClick={() => void exportJson()}>
        {t('ui-sweeps.export-json')}
      </Button>
    </Box>
  );
}
