import { expect, it } from 'vitest';
import { sketch } from './sketch';

const room = [
  { x: -2, y: 1 },
  { x: 10.5, y: 1 },
  { x: 10.5, y: 6 },
  { x: -2, y: 6 },
];

it('fits the floor between its margins', () => {
  const s = sketch(room, 620, 380, 20);
  expect(s.px(-2)).toBeCloseTo(20);
  expect(s.px(10.5)).toBeLessThanOrEqual(600.001);
  expect(s.py(6)).toBeCloseTo(20);
  expect(s.py(1)).toBeLessThanOrEqual(400.001);
});

it('leads from the drawing back to the centimetre on the floor', () => {
  const s = sketch(room, 620, 380, 20);
  for (const at of [
    { x: 0, y: 2.34 },
    { x: 7.77, y: 5.01 },
  ]) {
    expect(s.floor(s.px(at.x), s.py(at.y))).toEqual(at);
  }
});

it('closes its path', () => {
  expect(sketch(room, 620, 380, 20).path(room)).toMatch(/^M[^Z]+Z$/);
});
