import type { LiveView } from './useSource.ts';
import { t } from '../../ui/words.ts';

/** What comes from a source just now, or how long nothing has. */
export function sourceInWords({
  fresh,
  status,
  ageMs,
}: Pick<LiveView, 'fresh' | 'status' | 'ageMs'>): string {
  const said = status.message ? `: ${status.message}` : '';
  if (fresh) return `Live${said}`;
  if (status.state === 'connecting') return 'Connecting …';
  const age = ageMs === undefined ? '' : t('ui-live.last-value-s-old', { ageMs: (ageMs / 1000).toFixed(0) });
  return t('ui-live.nothing-arrives', { age, said });
}
