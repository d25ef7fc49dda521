import { expect, it } from 'vitest';
import { pointerTo } from './pointer';

it('finds the very thing, not its like', () => {
  const like = { value: 3 };
  const wanted = { value: 3 };
  expect(pointerTo({ a: [like, wanted] }, wanted)).toBe('/a/1');
});

it('writes signs of its own as RFC 6901 has them', () => {
  const wanted = {};
  expect(pointerTo({ 'a/b': { 'm~n': wanted } }, wanted)).toBe('/a~1b/m~0n');
});

it('is the whole, or nowhere', () => {
  const whole = { a: null, b: 'text', c: 4 };
  expect(pointerTo(whole, whole)).toBe('');
  expect(pointerTo(whole, {})).toBeNull();
});
