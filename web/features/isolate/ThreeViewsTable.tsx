import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { driveSaid, type Target } from '@lettura/core/machine/places';
import { formatWithBasis } from '@lettura/core/measure/quantity';
import { threeViews, type ThreeViews, type ViewName } from '@lettura/core/judge/checks';
import { NUMERALS } from '../../app/theme.ts';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { valueSaid, t } from '../../ui/words.ts';

const WHERE: Record<ViewName, { name: string; target: Target }> = {
  plug: { name: t('ui-isolate.sensor-plug'), target: { kind: 'wire', lane: 'signal', place: 'plug' } },
  unit: { name: t('ui-isolate.control-unit'), target: { kind: 'wire', lane: 'signal', place: 'unit' } },
  live: { name: t('ui-isolate.live-data'), target: { kind: 'scan' } },
};
const MEANS: Record<NonNullable<ThreeViews['disagreement']>['between'], string> = {
  'plug-unit': t('ui-isolate.plug-control-unit-disagree-signal'),
  'unit-live': t('ui-isolate.control-unit-live-data-disagree'),
  'plug-live': t('ui-isolate.plug-live-data-disagree-wire'),
};

/** One value as plug, unit and live data have it: the first pair that disagrees says where to look. */
export function ThreeViewsTable({
  caseFile,
  state,
  units,
  onGo,
}: Pick<IsolatePanelProps, 'caseFile' | 'state' | 'units' | 'onGo'>) {
  const { views, disagreement, agree } = threeViews(caseFile, state);
  const { measures } = caseFile.profile;
  const at = (between: ThreeViews['agree'][number]) =>
    disagreement?.between === between ? '≠' : agree.includes(between) ? '=' : '·';
  return (
    <Box component="section" aria-label={t('ui-isolate.three-views-signal')}>
      <Typography role="status" sx={{ mb: 1, fontWeight: 600 }}>
        {disagreement
          ? MEANS[disagreement.between]
          : agree.length === 2
            ? t('ui-isolate.all-three-agree-wire-input')
            : t('ui-isolate.read-missing-ones-same-state', { drive: valueSaid(driveSaid(state)) })}
      </Typography>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: '1fr auto 1fr auto 1fr', gap: 0.5, alignItems: 'center' }}
      >
        {views.map(({ name, volts, value }, i) => (
          <Box key={name} sx={{ display: 'contents' }}>
            {i > 0 && (
              <Typography aria-hidden="true" sx={{ fontSize: '1.6rem', fontWeight: 700, px: 0.5 }}>
                {at(
                  i === 1
                    ? 'plug-unit'
                    : agree.includes('plug-live') || disagreement?.between === 'plug-live'
                      ? 'plug-live'
                      : 'unit-live',
                )}
              </Typography>
            )}
            <Box sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 1, textAlign: 'center' }}>
              <Typography variant="body2" sx={{ fontWeight: 600 }}>
                {WHERE[name].name}
              </Typography>
              <Typography sx={{ fontFamily: NUMERALS, fontSize: '1.05rem', fontWeight: 650 }}>
                {value !== undefined
                  ? formatWithBasis(value, measures, units.absolute)
                  : volts !== undefined
                    ? voltsInWords(volts)
                    : '–'}
              </Typography>
              <Typography variant="body2" sx={{ minHeight: 20 }}>
                {volts !== undefined &&
                  (value !== undefined ? voltsInWords(volts) : t('ui-isolate.past-circuit-limit'))}
              </Typography>
              <Button
                size="small"
                onClick={() => onGo(WHERE[name].target, { ...state, harness: undefined, plug: 'connected' })}
                aria-label={t('ui-isolate.read-4', { name: WHERE[name].name.toLowerCase() })}
              >
                {volts === undefined && value === undefined
                  ? t('ui-isolate.read-it')
                  : t('ui-isolate.read-again')}
              </Button>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
