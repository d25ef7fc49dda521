import { expect, it } from 'vitest';
import type { LogView } from '../api/types';
import { days } from './logbook';

let keys = 0;
const entry = (kind: LogView['kind'], subject: string, at: string, zone = 'Hall'): LogView => ({
  kind,
  subject,
  at,
  zone,
  against: [],
  by: 'Wren',
  cycle: 0,
  key: String(++keys),
  note: '',
  place: '',
  struck: false,
  what: subject,
  zoneId: zone,
});
const LAYERS = new Map([
  ['primer', 'Primer'],
  ['coat', 'Body coat'],
]);
const told = (log: LogView[]) =>
  days(log, (e) => e.at, LAYERS).map((d) => [
    d.date,
    d.count,
    ...d.passages.map((p) => `${p.zone}, ${p.of}: ${p.entries.length}+${p.ready.length}`),
  ]);

it('tells a day by what of the floor it is about', () => {
  expect(
    told([
      entry('COAT', 'coat', 'Tuesday'),
      entry('BEGUN', 'coat/stir', 'Tuesday'),
      entry('TICK', 'coat/gloves', 'Tuesday'),
      entry('NOTE', '', 'Tuesday'),
      entry('GATE', 'dry', 'Tuesday'),
      entry('READING', 'ph', 'Monday'),
    ]),
  ).toEqual([
    ['Tuesday', 5, 'Hall, body coat: 3+1', 'Hall, preparation: 1+0'],
    ['Monday', 1, 'Hall, survey: 1+0'],
  ]);
});

it('never mixes zones, and loses nothing', () => {
  const log = [
    entry('NOTE', '', 'Monday'),
    entry('READING', 'ph', 'Monday', 'Kitchen'),
    entry('READING', 'ph', 'Monday'),
    entry('DONE', 'grind', 'Monday'),
  ];
  expect(told(log)).toEqual([
    [
      'Monday',
      4,
      'Hall, : 1+0',
      'Kitchen, survey: 1+0',
      'Hall, survey: 1+0',
      'Hall, preparation: 1+0',
    ],
  ]);
});
