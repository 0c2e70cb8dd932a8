import type { LiveView } from './useSource.ts';
import { said, t } from '../../ui/words.ts';

/** What comes from a source just now, or how long nothing has. */
export function sourceInWords({
  fresh,
  status,
  ageMs,
}: Pick<LiveView, 'fresh' | 'status' | 'ageMs'>): string {
  const remark = status.message ? `: ${said(status.message)}` : '';
  if (fresh) return t('ui-live.live-now', { remark });
  if (status.state === 'connecting') return t('ui-live.connecting');
  const age = ageMs === undefined ? '' : t('ui-live.last-value-s-old', { ageMs: (ageMs / 1000).toFixed(0) });
  return t('ui-live.nothing-arrives', { age, said: remark });
}
