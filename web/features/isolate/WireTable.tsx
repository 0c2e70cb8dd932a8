import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  isReturn,
  laneSaid,
  placeSaid,
  type Lane,
  type MachineState,
  type Place,
} from '@lettura/core/machine/places';
import { LOOM_HIDES } from '@lettura/core/machine/fault';
import { laneSegments } from '@lettura/core/judge/checks';
import { Cautions } from '../../ui/Cautions.tsx';
import { upperFirst } from '../../ui/inWords.ts';
import { BetweenField } from './BetweenField.tsx';
import { Said } from '../../ui/Said.tsx';
import { say } from '@lettura/core/measure/message';
import { said, t } from '../../ui/words.ts';
import { type WireTableProps, DropFound, GroundFound, OhmsFound } from './FoundInWire.tsx';

const LOADED: MachineState = { engine: 'koeo', plug: 'connected' };
const DEAD: MachineState = { engine: 'key-off', plug: 'unplugged' };
const STRETCHES: readonly (readonly [Place, Place])[] = [
  ['unit', 'plug'],
  ['unit', 'connector'],
  ['connector', 'plug'],
];

/** One wire measured along its length: the drop while it carries its current, the ohms while it carries none. */
export function WireTable({ caseFile, lanes, sensor, units, onBetween, chosen, onChoose }: WireTableProps) {
  const wires = lanes.filter((lane) => lane !== 'battery-feed');
  const segments = laneSegments(caseFile, chosen);
  const looking = segments.filter(({ state }) => state === 'faulty' || state === 'suspect');
  return (
    <Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={t('ui-isolate.wire')}
        value={chosen}
        onChange={(_event, lane: Lane | null) => lane && onChoose(lane)}
      >
        {wires.map((lane) => (
          <ToggleButton key={lane} value={lane}>
            {upperFirst(said(laneSaid(lane)))}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box role="list" aria-label={t('ui-isolate.wire-along-length', { lane: said(laneSaid(chosen)) })}>
        {STRETCHES.map(([from, to]) => {
          const stretch = { lane: chosen, from, to };
          const points = [
            { lane: chosen, place: from },
            { lane: chosen, place: to },
          ] as const;
          const name = upperFirst(stretchWords(from, to));
          return (
            <Box role="listitem" key={name} sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
              <Typography sx={{ fontWeight: 600, mb: 0.75 }}>{name}</Typography>
              <Box
                sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(250px, 1fr))', gap: 1 }}
              >
                <Box>
                  <BetweenField
                    label={t('ui-isolate.drop-key-plug-connected')}
                    name={t('ui-isolate.drop-2', { name: name.toLowerCase() })}
                    placeholder={t('ui-isolate.12-mv')}
                    onEnter={(text) => onBetween('between', points, LOADED, text)}
                  />
                  <DropFound {...{ stretch, caseFile, sensor, units }} />
                </Box>
                <Box>
                  <BetweenField
                    label={t('ui-isolate.ohms-key-off-plug-off')}
                    name={t('ui-isolate.ohms-3', { name: name.toLowerCase() })}
                    placeholder="0.3"
                    onEnter={(text) => onBetween('ohms', points, DEAD, text)}
                  />
                  <OhmsFound {...{ stretch, caseFile, sensor, units }} />
                </Box>
              </Box>
            </Box>
          );
        })}
        {/* A return is at ground as it should be. */}
        {!isReturn(chosen) && (
          <Box role="listitem" sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
            <Typography sx={{ fontWeight: 600, mb: 0.75 }}>{t('ui-isolate.to-ground')}</Typography>
            <BetweenField
              label={t('ui-isolate.ohms-key-off-plug-off')}
              name={t('ui-isolate.ohms-3', { name: t('ui-isolate.to-ground').toLowerCase() })}
              placeholder="2500"
              onEnter={(text) =>
                onBetween('ohms', [{ lane: chosen, place: 'plug' }, 'battery-negative'], DEAD, text)
              }
            />
            <GroundFound lane={chosen} caseFile={caseFile} />
          </Box>
        )}
      </Box>
      {looking.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          <strong>
            {t('ui-isolate.look', {
              looking: looking
                .map(({ from, to }) =>
                  t('ui-isolate.between-and', { place: said(placeSaid(from)), place2: said(placeSaid(to)) }),
                )
                .join(', and '),
            })}
          </strong>{' '}
          <Said message={LOOM_HIDES} />
        </Typography>
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {t('ui-isolate.red-first-two-places-black')}
      </Typography>
      <Cautions cautions={[say('isolation.ohms-power-off')]} />
    </Box>
  );
}

const stretchWords = (from: Place, to: Place): string =>
  t('ui-isolate.to-2', { place: said(placeSaid(from)), place2: said(placeSaid(to)) });
