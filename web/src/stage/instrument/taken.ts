import type { Collected, ImportProgress } from '../../api/types';

export const thousands = (n: number) => n.toLocaleString('en-GB').replaceAll(',', '\u202f');

/** What was stored of what an instrument sent or wrote, without a full stop. */
export function takenWords(
  t: Pick<Collected & ImportProgress, 'samples' | 'repeated' | 'setAside'>,
): string {
  const here = t.repeated > 0 ? `${thousands(t.repeated)} were here already` : '';
  if (t.samples === 0) {
    return here ? `Nothing new: ${here}` : 'Nothing new';
  }
  const aside = Object.values(t.setAside).reduce((a, b) => a + b, 0);
  const counts =
    aside > 0 ? `, ${thousands(aside)} of them set aside with a reason` : ', all of them count';
  return `${thousands(t.samples)} samples taken over${counts}${here ? `; ${here}` : ''}`;
}
