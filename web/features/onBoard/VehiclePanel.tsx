import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import type { VehicleReport } from '@lettura/contract';
import { useState } from 'react';
import { useListFeedsQuery, useReadVehicleMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Term } from '../../ui/help/index.ts';
import { dayAndTime } from '../../ui/when.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { ClearCodes } from './ClearCodes.tsx';
import { UnitCard } from './UnitCard.tsx';

export interface VehiclePanelProps {
  disabled: boolean;
  /** What goes on record with one press. */
  takes: string;
  onTake: (units: VehicleReport['units']) => void;
  /** Some or all units say that they cleared; left out where there is no job yet that could say so. */
  onCleared?: () => void;
}

/** Asks the connected vehicle for codes, readiness and freeze frame; nothing where the server follows none that can be asked. */
export function VehiclePanel({ disabled, takes, onTake, onCleared }: VehiclePanelProps) {
  const { data: feeds } = useListFeedsQuery();
  const [read, { error, isLoading }] = useReadVehicleMutation();
  // The last one stands until there is another, with its moment.
  const [report, setReport] = useState<VehicleReport>();
  // What is on record needs no second line that says the same.
  const [taken, setTaken] = useState<VehicleReport>();
  const ask = async () => {
    const { data } = await read();
    if (data) setReport(data);
  };
  const feed = feeds?.find(({ readsCodes }) => readsCodes);
  if (!feed) return null;
  return (
    <Box
      component="section"
      aria-label={t('ui-on-board.from-the-vehicle')}
      sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 1.5, display: 'grid', gap: 1 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Button
          variant="outlined"
          disabled={isLoading}
          onClick={() => void ask()}
          startIcon={isLoading && <CircularProgress size={18} color="inherit" aria-hidden />}
          sx={{ minHeight: 48 }}
        >
          {isLoading
            ? t('ui-on-board.asking')
            : report
              ? t('ui-on-board.ask-again')
              : t('ui-on-board.read-codes-from-vehicle')}
        </Button>
        <Typography variant="body2" role="status">
          {report
            ? t('ui-on-board.read-at', { moment: dayAndTime(report.readAt), units: report.units.length })
            : t('ui-on-board.key-on')}
          {feed.simulated && ` ${t('ui-on-board.stand-in')}`}
        </Typography>
      </Box>
      {error && (
        <Alert severity="error">
          <SaidProblem problem={requestProblem(error)} />
        </Alert>
      )}
      {report && (
        <>
          <Box>
            <Term id="code-kept" /> <Term id="readiness" /> <Term id="freeze-frame" />
          </Box>
          {report.units.map((unit) => (
            <UnitCard key={unit.unit} report={unit} />
          ))}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'start' }}>
            <Button
              variant="contained"
              disabled={disabled || isLoading || taken === report}
              onClick={() => {
                onTake(report.units);
                setTaken(report);
              }}
              sx={{ minHeight: 48 }}
            >
              {takes}
            </Button>
            {onCleared && (
              <ClearCodes
                disabled={disabled}
                onCleared={() => {
                  onCleared();
                  void ask();
                }}
              />
            )}
          </Box>
        </>
      )}
    </Box>
  );
}
