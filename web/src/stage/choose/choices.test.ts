import { describe, expect, it } from 'vitest';
import { yearsText } from './choices';

describe('yearsText', () => {
  it.each([
    [undefined, 'not said'],
    [0.0958, '5 weeks'],
    [1, '1 year'],
    [2.5, '2.5 years'],
    [4, '4 years'],
  ])('says %s as %s', (years, text) => {
    expect(yearsText(years)).toBe(text);
  });
});
