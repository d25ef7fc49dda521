import type { FeatureView, RoomField, RoomForm, Units } from '../../api/types';

/** What stands in a room, as the server describes it: which list of the form it is in, and how each of its fields is keyed in. */

/** An entry of one of a room's lists: its fields by their names. */
export type Entry = Record<string, unknown> & { id: string };

/** The list of a room that a feature is kept in. */
export const entriesOf = (room: RoomForm, kind: FeatureView): Entry[] =>
  // the description names one of the form's own lists
  room[kind.list as keyof RoomForm] as unknown as Entry[];

/** What a new one begins with. */
export function fresh(kind: FeatureView, room: RoomForm, units: Units): Record<string, unknown> {
  return Object.fromEntries(kind.fields.map((f) => [f.id, begins(f, room, units)]));
}

function begins(field: RoomField, room: RoomForm, units: Units): unknown {
  const typed = units === 'US' ? field.freshUs : field.freshMetric;
  switch (field.kind) {
    case 'PLACE':
      return { along: '', off: '' };
    case 'PLACES':
      return [];
    case 'TICK':
      return false;
    case 'NUMBER':
      return Number(typed);
    case 'WALL':
    case 'CORNER':
      return room.runs[Number(typed)]?.id ?? '';
    default:
      return typed;
  }
}

/** Whether a field says something. */
export function says(value: unknown): boolean {
  if (Array.isArray(value)) {
    return value.length > 0;
  }
  if (typeof value === 'object' && value !== null) {
    return Object.values(value).every((v) => v !== '');
  }
  return value !== '' && value !== undefined;
}

/** Only once every field says something is an entry looked at: a half-keyed column is not a fault yet. */
export const isWhole = (kind: FeatureView, entry: Entry): boolean =>
  kind.fields.every(
    (f) => f.optional || says(entry[f.id]) || (f.unless !== '' && says(entry[f.unless])),
  );

/** Places as a person writes them: "3', 4'; 5', 6'". */
export const placesText = (value: unknown): string =>
  ((value ?? []) as { along: string; off: string }[]).map((p) => `${p.along}, ${p.off}`).join('; ');

export const placesOf = (line: string): { along: string; off: string }[] =>
  line
    .split(';')
    .filter((p) => p.trim() !== '')
    .map((p) => {
      const [along = '', off = ''] = p.split(',').map((t) => t.trim());
      return { along, off };
    });
