import { expect, it } from 'vitest';
import { begun, carried, forget, keep } from './draft';

it('is there again, and forgotten once it was sent', () => {
  const base = { name: '', sides: { length: '' } };
  expect(begun('zone', base)).toEqual({ value: base, again: false });
  keep('zone', base, { name: 'Hall', sides: { length: '4 m' } });
  expect(begun('zone', base)).toEqual({
    value: { name: 'Hall', sides: { length: '4 m' } },
    again: true,
  });
  forget('zone');
  expect(begun('zone', base).again).toBe(false);
});

it('is not kept where it says nothing new', () => {
  keep('job', { name: 'Quay' }, { name: 'Quay' });
  expect(begun('job', { name: 'Quay' }).again).toBe(false);
});

it('stays where it was typed, and follows others where it was left alone', () => {
  const base = { name: 'Hall', client: 'Otter', settings: { pace: '1', share: '80' } };
  const draft = { name: 'Great hall', client: 'Otter', settings: { pace: '1', share: '70' } };
  const now = { name: 'Hall', client: 'Otters & Co', settings: { pace: '2', share: '80' } };
  expect(carried(base, draft, now)).toEqual({
    name: 'Great hall',
    client: 'Otters & Co',
    settings: { pace: '2', share: '70' },
  });
});

it('keeps a list that was typed as a whole', () => {
  expect(carried({ limits: ['A'] }, { limits: ['A', 'B'] }, { limits: [] })).toEqual({
    limits: ['A', 'B'],
  });
});
