import type { RoomForm, Units } from '../../api/types';

/** What can stand in a room, and how each is keyed in. A new kind is one more entry here and one list of the form. */

export type FeatureList =
  | 'checks'
  | 'openings'
  | 'doors'
  | 'cuts'
  | 'joints'
  | 'cracks'
  | 'ramps'
  | 'stairs'
  | 'gaps'
  | 'lips';

export interface FeatureField {
  /** Where in the entry: {@code at.along}. */
  path: string;
  label: string;
  kind: 'text' | 'number' | 'tick' | 'wall' | 'corner' | 'choice' | 'line';
  choices?: readonly { id: string; label: string }[];
  hint?: string;
  /** May stay empty. */
  optional?: boolean;
  /** May stay empty where this other field says something. */
  unless?: string;
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
const PLACES = "along, off; along, off: 3', 4'; 5', 6'";
const line = (path: string, label: string): FeatureField => ({
  path,
  label,
  kind: 'line',
  hint: PLACES,
});
const tick = (path: string, label: string): FeatureField => ({ path, label, kind: 'tick' });
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
    about:
      'Columns, drains, fixtures, pits. A round one has a diameter and no width; any other shape is told by its corners instead.',
    fresh: () => ({
      name: 'Column',
      kind: 'COLUMN',
      at: spot(),
      length: '',
      width: '',
      turn: '',
      corners: [],
    }),
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
      ...placed('at').map((f) => ({ ...f, unless: 'corners' })),
      { ...text('length', 'Length or diameter'), unless: 'corners' },
      { ...text('width', 'Width', 'empty: round'), optional: true },
      { ...text('turn', 'Turned', 'L 45'), optional: true },
      { ...line('corners', 'Corners'), optional: true },
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
      tick('exit', 'Way out'),
    ],
  },
  {
    list: 'cuts',
    title: 'Zone lines',
    add: 'Line',
    about:
      'Parts one zone from the next, from wall to wall through two places or more. A ring goes back to where it began, round a zone within the floor.',
    fresh: () => ({ from: spot(), to: spot(), more: [], ring: false }),
    fields: [
      ...placed('from', 'From: '),
      ...placed('to', 'To: '),
      { ...line('more', 'And on through'), optional: true },
      tick('ring', 'Ring'),
    ],
  },
  {
    list: 'joints',
    title: 'Joints',
    add: 'Joint',
    about:
      'As many must be cut again as were buried, and as many buried as were marked. One that parts zones goes on from wall to wall.',
    fresh: (_room, units) => ({
      kind: 'CONTROL',
      from: spot(),
      to: spot(),
      width: thin(units),
      depth: thin(units),
      marked: false,
      buried: false,
      recut: false,
      parts: false,
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
      tick('marked', 'Marked'),
      tick('buried', 'Buried'),
      tick('recut', 'Cut again'),
      tick('parts', 'Parts zones'),
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
      line('line', 'Places'),
      text('width', 'Width'),
      text('depth', 'Depth'),
      tick('moving', 'Moving'),
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
  {
    list: 'lips',
    title: 'Lips',
    add: 'Lip',
    about: 'Where one surface stands above the next: upright, bevelled or ramped, by its height.',
    fresh: () => ({ name: 'Lip', from: spot(), to: spot(), height: '' }),
    fields: [
      text('name', 'Name'),
      ...placed('from', 'From: '),
      ...placed('to', 'To: '),
      text('height', 'Height'),
    ],
  },
  {
    list: 'gaps',
    title: 'Under a straightedge',
    add: 'Gap',
    about: 'The widest gap under an edge of 10 ft, or of 12 in, and where its middle lay.',
    fresh: (_room, units) => ({ at: spot(), edge: units === 'US' ? "10'" : '3 m', gap: '' }),
    fields: [...placed('at'), text('edge', 'Straightedge'), text('gap', 'Widest gap')],
  },
];
