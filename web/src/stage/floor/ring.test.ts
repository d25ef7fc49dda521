import { describe, expect, it } from 'vitest';
import { areaOf, cornersOf, withCorner, withoutLast } from './ring';

describe('a ring of corners', () => {
  it('is read in the units of the job', () => {
    expect(cornersOf('1 1; 3, 1;3 2', 'METRIC')).toEqual([
      { x: 1, y: 1 },
      { x: 3, y: 1 },
      { x: 3, y: 2 },
    ]);
    expect(cornersOf('10 0', 'US')).toEqual([{ x: 3.048, y: 0 }]);
  });

  it('leaves out what is no pair of numbers', () => {
    expect(cornersOf('1; a b; ; 2 2', 'METRIC')).toEqual([{ x: 2, y: 2 }]);
  });

  it('grows and shrinks by a corner', () => {
    const one = withCorner('', { x: 3.048, y: 0.3048 }, 'US');
    expect(one).toBe('10.00 1.00');
    const two = withCorner(one, { x: 0, y: 0 }, 'US');
    expect(two).toBe('10.00 1.00; 0.00 0.00');
    expect(withoutLast(two)).toBe(one);
    expect(withoutLast(one)).toBe('');
  });

  it('goes round so much', () => {
    expect(areaOf(cornersOf('1 1; 4 1; 4 2; 1 2', 'METRIC'))).toBeCloseTo(3);
    expect(areaOf(cornersOf('0 0; 0 2; 2 0', 'METRIC'))).toBeCloseTo(2);
    expect(areaOf([])).toBe(0);
  });
});
