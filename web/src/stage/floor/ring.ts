import type { Corner, Units } from '../../api/types';

const FOOT_M = 0.3048;

const metresOf = (units: Units) => (units === 'US' ? FOOT_M : 1);

/** Corners as they are typed, "1 1; 3 1; 3 2", in feet or metres: metres. What is no pair of numbers is left out. */
export function cornersOf(typed: string, units: Units): Corner[] {
  const k = metresOf(units);
  return typed
    .split(';')
    .map((pair) =>
      pair
        .trim()
        .split(/[\s,]+/)
        .filter((t) => t !== '')
        .map(Number),
    )
    .filter((pair) => pair.length >= 2 && pair.every(Number.isFinite))
    .map(([x = 0, y = 0]) => ({ x: x * k, y: y * k }));
}

/** The same with one more corner. @param at metres */
export function withCorner(typed: string, at: Corner, units: Units): string {
  const shown = (metres: number) => (metres / metresOf(units)).toFixed(2);
  return [typed.trim(), `${shown(at.x)} ${shown(at.y)}`].filter((t) => t !== '').join('; ');
}

export const withoutLast = (typed: string): string => typed.split(';').slice(0, -1).join(';');

/** What a ring goes round, m². */
export function areaOf(ring: readonly Corner[]): number {
  const twice = ring.reduce((sum, a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);
  return Math.abs(twice) / 2;
}
