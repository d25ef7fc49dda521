import { describe, expect, it } from 'vitest';
import type { Stratum } from '../api/types';
import { chips, heightOf, isReal, seedOf, slices, stones } from './draw';

const stratum = (kind: string, mark: string, filmUm = 0): Stratum =>
  ({ id: kind, kind, mark, filmUm }) as unknown as Stratum;

const strata = [
  stratum('SLAB', 'GO'),
  stratum('PREP', 'DONE'),
  stratum('FILM', 'WET', 250),
  stratum('BROADCAST', 'NOT_STARTED'),
  stratum('FILM', 'NOT_STARTED', 2000),
  stratum('SERVICE', 'NOT_STARTED'),
];

describe('the drawn core', () => {
  it('is filled from top to bottom without a gap', () => {
    const all = slices(strata, 400);
    expect(all.at(-1)?.top).toBeCloseTo(0);
    expect((all[0]?.top ?? 0) + (all[0]?.height ?? 0)).toBeCloseTo(400);
    for (let i = 1; i < all.length; i++) {
      expect((all[i]?.top ?? 0) + (all[i]?.height ?? 0)).toBeCloseTo(all[i - 1]?.top ?? 0);
    }
  });

  it('gives each doubling of a thick film the same height', () => {
    const by = (um: number) => heightOf(stratum('FILM', 'WET', um));
    expect(by(64_000) - by(32_000)).toBeCloseTo(by(32_000) - by(16_000), 1);
    expect(by(50)).toBeGreaterThan(heightOf(stratum('PREP', 'DONE')));
  });

  it('draws as real what is on the floor, and nothing else', () => {
    expect(strata.map(isReal)).toEqual([true, true, true, false, false, false]);
  });
});

describe('stones and flake', () => {
  it('do not dance: the same floor has the same ones', () => {
    expect(stones(seedOf('cold store'), 200, 0, 100, 3)).toEqual(
      stones(seedOf('cold store'), 200, 0, 100, 3),
    );
    expect(chips(seedOf('a'), 200, 0, 30, 3)).not.toEqual(chips(seedOf('b'), 200, 0, 30, 3));
  });

  it('stay within the core', () => {
    const places = stones(7, 200, 50, 150, 3)
      .join('')
      .matchAll(/[ML]([\d.-]+) ([\d.-]+)/g);
    for (const [, x, y] of places) {
      expect(Number(x)).toBeGreaterThanOrEqual(0);
      expect(Number(x)).toBeLessThanOrEqual(200);
      expect(Number(y)).toBeGreaterThan(40);
      expect(Number(y)).toBeLessThan(160);
    }
  });
});
