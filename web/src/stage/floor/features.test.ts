import { expect, it } from 'vitest';
import type { FeatureView, RoomField, RoomForm } from '../../api/types';
import { fresh, isWhole, placesOf, placesText } from './features';

const field = (id: string, kind: RoomField['kind'], more: Partial<RoomField> = {}): RoomField => ({
  id,
  label: id,
  kind,
  choices: [],
  hint: '',
  optional: false,
  unless: '',
  least: 0,
  most: 1,
  freshUs: '',
  freshMetric: '',
  ...more,
});

const column: FeatureView = {
  list: 'openings',
  title: 'Not coated',
  add: 'Cut-out',
  about: '',
  fields: [
    field('name', 'WORDS', { freshUs: 'Column', freshMetric: 'Column' }),
    field('at', 'PLACE', { unless: 'corners' }),
    field('width', 'LENGTH', { optional: true }),
    field('corners', 'PLACES', { optional: true }),
    field('run', 'WALL', { freshUs: '1', freshMetric: '1' }),
    field('depth', 'SMALL', { freshUs: '1/4"', freshMetric: '6 mm' }),
  ],
};
const room = { runs: [{ id: 'a' }, { id: 'b' }] } as unknown as RoomForm;

it('begins as the description says, in the units of the job', () => {
  expect(fresh(column, room, 'METRIC')).toEqual({
    name: 'Column',
    at: { along: '', off: '' },
    width: '',
    corners: [],
    run: 'b',
    depth: '6 mm',
  });
  expect(fresh(column, room, 'US')['depth']).toBe('1/4"');
});

it('is looked at once every field says something, or another does instead', () => {
  const entry = { id: 'x', ...fresh(column, room, 'US') };
  expect(isWhole(column, entry)).toBe(false);
  expect(isWhole(column, { ...entry, at: { along: "3'", off: '' } })).toBe(false);
  expect(isWhole(column, { ...entry, at: { along: "3'", off: "4'" } })).toBe(true);
  expect(isWhole(column, { ...entry, corners: placesOf("0, 0; 1', 0; 1', 1'") })).toBe(true);
});

it('reads places as it writes them', () => {
  const text = "3', 4'; 5', 6'";
  expect(placesText(placesOf(text))).toBe(text);
  expect(placesOf(' ; ')).toEqual([]);
});
