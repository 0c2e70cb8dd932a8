import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  CODE_KEEPINGS,
  frozenSaid,
  keptSaid,
  monitorSaid,
  type UnitReport,
} from '@lettura/core/record/onBoard';
import { list } from '@lettura/core/measure/message';
import { CodesFold } from '../../ui/CodesRead.tsx';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** One control unit: what it keeps, what its codes mean, and what of its self-tests is open. */
export function UnitCard({ report }: { report: UnitReport }) {
  const { unit, vehicleNumber, readiness, freezeFrame } = report;
  const all = CODE_KEEPINGS.flatMap((keeping) => report[keeping] ?? []);
  return (
    <Box component="section" aria-label={t('ui-on-board.unit', { unit })} sx={{ display: 'grid', gap: 0.25 }}>
      <Typography sx={{ fontWeight: 700 }}>
        {t('ui-on-board.unit', { unit })}
        {vehicleNumber && ` · ${vehicleNumber}`}
        {readiness && ` · ${readiness.lampOn ? t('ui-on-board.lamp-on') : t('ui-on-board.lamp-off')}`}
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {CODE_KEEPINGS.map((keeping) => {
          const codes = report[keeping];
          return (
            <Typography
              component="li"
              key={keeping}
              sx={{ fontWeight: codes && codes.length > 0 && keeping !== 'permanent' ? 700 : 400 }}
            >
              {codes ? (
                <Said title message={keptSaid(keeping, codes)} />
              ) : (
                t(`ui-on-board.not-said-${keeping}`)
              )}
            </Typography>
          );
        })}
        {readiness && (
          <Typography component="li">
            {readiness.unfinished.length === 0
              ? t('ui-on-board.all-finished')
              : t('ui-on-board.not-finished', {
                  monitors: list(readiness.unfinished.map(monitorSaid)),
                  finished: readiness.finished.length,
                })}
          </Typography>
        )}
        {freezeFrame && (
          <Typography component="li">
            <Said title message={frozenSaid(freezeFrame)} />
          </Typography>
        )}
      </Box>
      <CodesFold codes={all} />
    </Box>
  );
}
