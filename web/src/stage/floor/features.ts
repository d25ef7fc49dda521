import type { RoomForm, Units } from '../../api/types';

/** What can stand in a room, and how each is keyed in. A new kind is one more entry here and one list of the form. */

export type FeatureList =
  'checks' | 'openings' | 'doors' | 'cuts' | 'joints' | 'cracks' | 'ramps' | 'stairs';

export interface FeatureField {
  /** Where in the entry: {@code at.along}. */
  path: string;
  label: string;
  kind: 'text' | 'number' | 'tick' | 'wall' | 'corner' | 'choice' | 'line';
  choices?: readonly { id: string; label: string }[];
  hint?: string;
  /** May stay empty. */
  optional?: boolean;
}

export interface FeatureKind {
  list: FeatureList;
  title: string;
  add: string;
  /** What it does to the plan. */
  about: string;
  fresh: (room: RoomForm, units: Units) => Record<string, unknown>;
  fields: readonly FeatureField[];
}

const text = (path: string, label: string, hint = ''): FeatureField => ({
  path,
  label,
  kind: 'text',
  hint,
});
const placed = (path: string, what = ''): FeatureField[] => [
  text(`${path}.along`, `${what}Along A–B`.trim()),
  text(`${path}.off`, `${what}Off it`.trim()),
];
const spot = () => ({ along: '', off: '' });
const thin = (units: Units) => (units === 'US' ? '1/4"' : '6 mm');
const first = (room: RoomForm, i: number) => room.runs[i]?.id ?? '';

export const FEATURES: readonly FeatureKind[] = [
  {
    list: 'checks',
    title: 'Checks across',
    add: 'Check',
    about:
      'A diagonal, or any measure from corner to corner: then all of them are adjusted together, and a misreading stands out.',
    fresh: (room) => ({ from: first(room, 0), to: first(room, 2), length: '' }),
    fields: [
      { path: 'from', label: 'From', kind: 'corner' },
      { path: 'to', label: 'To', kind: 'corner' },
      text('length', 'Length'),
    ],
  },
  {
    list: 'openings',
    title: 'Not coated',
    add: 'Cut-out',
    about: 'Columns, drains, fixtures, pits. A round one has a diameter and no width.',
    fresh: () => ({ name: 'Column', kind: 'COLUMN', at: spot(), length: '', width: '', turn: '' }),
    fields: [
      text('name', 'Name'),
      {
        path: 'kind',
        label: 'Kind',
        kind: 'choice',
        choices: [
          { id: 'COLUMN', label: 'Column' },
          { id: 'DRAIN', label: 'Drain' },
          { id: 'FIXTURE', label: 'Fixture' },
          { id: 'CUT_OUT', label: 'Cut-out' },
        ],
      },
      ...placed('at'),
      text('length', 'Length or diameter'),
      { ...text('width', 'Width', 'empty: round'), optional: true },
    ],
  },
  {
    list: 'doors',
    title: 'Doors',
    add: 'Door',
    about: 'Taken off masking, trim and cove. Mark the way out: the last bay ends there.',
    fresh: (room) => ({ run: first(room, 0), along: '', width: '', exit: false }),
    fields: [
      { path: 'run', label: 'Wall', kind: 'wall' },
      text('along', 'Along it'),
      text('width', 'Width'),
      { path: 'exit', label: 'Way out', kind: 'tick' },
    ],
  },
  {
    list: 'cuts',
    title: 'Zone lines',
    add: 'Line',
    about: 'Parts one zone from the next, from wall to wall through two places.',
    fresh: () => ({ from: spot(), to: spot() }),
    fields: [...placed('from', 'From: '), ...placed('to', 'To: ')],
  },
  {
    list: 'joints',
    title: 'Joints',
    add: 'Joint',
    about: 'As many must be cut again as were buried, and as many buried as were marked.',
    fresh: (_room, units) => ({
      kind: 'CONTROL',
      from: spot(),
      to: spot(),
      width: thin(units),
      depth: thin(units),
      marked: false,
      buried: false,
      recut: false,
    }),
    fields: [
      {
        path: 'kind',
        label: 'Kind',
        kind: 'choice',
        choices: [
          { id: 'CONTROL', label: 'Control' },
          { id: 'CONSTRUCTION', label: 'Construction' },
          { id: 'EXPANSION', label: 'Expansion' },
        ],
      },
      ...placed('from', 'From: '),
      ...placed('to', 'To: '),
      text('width', 'Width'),
      text('depth', 'Depth'),
      { path: 'marked', label: 'Marked', kind: 'tick' },
      { path: 'buried', label: 'Buried', kind: 'tick' },
      { path: 'recut', label: 'Cut again', kind: 'tick' },
    ],
  },
  {
    list: 'cracks',
    title: 'Cracks',
    add: 'Crack',
    about: 'A moving crack comes back through any coating: say so in writing.',
    fresh: (_room, units) => ({
      line: [],
      width: units === 'US' ? '1/16"' : '1.5 mm',
      depth: thin(units),
      moving: false,
    }),
    fields: [
      {
        path: 'line',
        label: 'Places',
        kind: 'line',
        hint: "along, off; along, off: 3', 4'; 5', 6'",
      },
      text('width', 'Width'),
      text('depth', 'Depth'),
      { path: 'moving', label: 'Moving', kind: 'tick' },
    ],
  },
  {
    list: 'ramps',
    title: 'Ramps and slopes',
    add: 'Ramp',
    about: 'Coated at its own length, which is more than it looks from above.',
    fresh: () => ({ name: 'Ramp', at: spot(), length: '', width: '', turn: 'S', rise: '' }),
    fields: [
      text('name', 'Name'),
      ...placed('at'),
      text('length', 'Level length'),
      text('width', 'Width'),
      text('turn', 'Turned'),
      text('rise', 'Rise'),
    ],
  },
  {
    list: 'stairs',
    title: 'Steps',
    add: 'Flight',
    about: 'A flight has one tread fewer than risers; the landing above is floor.',
    fresh: () => ({ name: 'Steps', width: '', risers: 3, riser: '', tread: '' }),
    fields: [
      text('name', 'Name'),
      text('width', 'Width'),
      { path: 'risers', label: 'Risers', kind: 'number' },
      text('riser', 'Riser'),
      text('tread', 'Tread'),
    ],
  },
];
