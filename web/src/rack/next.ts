import type { RackItem } from '../api/types';
import { left, when } from '../parts/time';

/** What a floor on the rack counts down to: how long is left, and what then happens. */
export function countdown(item: RackItem, now: Date): { left: string; label: string } {
  const next = item.lead?.next;
  if (!next) {
    return {
      left: '–',
      label: item.zones === 0 ? 'no zone measured yet' : 'put away',
    };
  }
  const at = next.at ? new Date(next.at) : null;
  const words = at ? left(at, now) : next.urgency === 'RESTS' ? '–' : 'now';
  const then = at && words !== 'now' ? `, ${when(at, item.timeZone, now)}` : '';
  return { left: words, label: `${next.label}${then}` };
}
