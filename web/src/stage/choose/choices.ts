import type { Suggested } from '../../api/types';

/** How much is done to a floor, as it is said to whoever pays for it. */
export const RUNGS: Record<Suggested['rung'], string> = {
  RESEAL: 'Clean and reseal',
  RECOLOUR: 'Recolour and seal',
  SOLID_STAIN: 'Solid-colour stain',
  COAT: 'Coat over it',
  RESURFACE: 'Resurface',
  OVERLAY: 'Overlay',
  REPLACE: 'Take up and lay new',
};

/** What it costs beside the others. */
export const MONEY: Record<number, string> = {
  1: 'the least',
  2: 'some',
  3: 'more',
  4: 'the most',
};

/** An interval to the next time, as people say it. */
export function yearsText(years: number | undefined | null): string {
  if (years === undefined || years === null) {
    return 'not said';
  }
  if (years < 1) {
    return `${Math.round(years * 52)} weeks`;
  }
  const text = Number.isInteger(years) ? `${years}` : years.toFixed(1);
  return `${text} ${years === 1 ? 'year' : 'years'}`;
}
