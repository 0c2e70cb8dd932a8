import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useTheme } from '@mui/material/styles';
import type { RecordingInfo } from '@lettura/contract';
import {
  csvMetadata,
  RECORDING_EXPORT_IDS,
  RECORDING_EXPORTS,
  type RecordingExport,
} from '@lettura/core/recording/file';
import type { RefObject } from 'react';
import { downloadBlob, downloadText } from '../../ui/downloadText.ts';
import { fileName } from '../../ui/fileName.ts';
import { t } from '../../ui/words.ts';
import { marksWithin } from './marksWithin.ts';
import { plotImage } from './plotImage.ts';
import type { AskSweep } from './useSweepWorker.ts';
import type { View } from './useView.ts';

export interface SweepExportsProps {
  recording: RecordingInfo;
  ask: AskSweep;
  /** What is drawn, for the picture of it. */
  plot: RefObject<HTMLElement | null>;
  /** The stretch that is looked at, where that is not all of it. */
  view: View | undefined;
}

/** A recording taken along: the plot as it is seen, and its numbers. */
export function SweepExports({ recording, ask, plot, view }: SweepExportsProps) {
  const { name, channels, marks, note } = recording;
  const { palette } = useTheme();
  const exportAs = async (as: RecordingExport, part?: View) => {
    const heading = {
      name,
      takenAt: recording.takenAt,
      uses: channels.map(({ use }) => use),
      bases: channels.map(({ basis }) => basis),
      marks: part ? marksWithin(marks, part) : marks,
      note,
    };
    const made = await ask('export', { as, heading, ...(part ? { view: part } : {}) });
    if (!made.ok) return;
    const file = `${fileName(part ? `${name} part` : name)}.${RECORDING_EXPORTS[as].extension}`;
    downloadBlob(file, made.value);
    if (RECORDING_EXPORTS[as].described) describe(file);
  };
  /** What the columns of a file are, beside it. */
  const describe = (file: string) => {
    const metadata = csvMetadata(
      { channels: channels.map((one) => ({ ...one, values: new Float64Array(0) })) },
      file,
    );
    downloadText(`${file}-metadata.json`, 'application/csvm+json', JSON.stringify(metadata, undefined, 2));
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
      {view && (
        <Button variant="outlined" onClick={() => void exportAs('csv', view)}>
          {t('ui-sweeps.export-view', { name: RECORDING_EXPORTS.csv.name })}
        </Button>
      )}
      <Button variant="outlined" onClick={() => void exportPicture()}>
        {t('ui-sweeps.save-plot-picture')}
      </Button>
      {RECORDING_EXPORT_IDS.map((as) => (
        <Button key={as} variant="outlined" onClick={() => void exportAs(as)}>
          {t('ui-sweeps.export-as', {
            name: RECORDING_EXPORTS[as].name,
            described: RECORDING_EXPORTS[as].described ?? false,
          })}
        </Button>
      ))}
    </Box>
  );
}
