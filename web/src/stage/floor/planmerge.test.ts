import { expect, it } from 'vitest';
import type { PlanForm, RoomForm } from '../../api/types';
import { freshRoom } from './freshroom';
import { mergedPlan } from './planmerge';

const room = (id: string, more: Partial<RoomForm> = {}): RoomForm => ({
  ...freshRoom(id, id),
  ...more,
});
const plan = (...rooms: RoomForm[]): PlanForm => ({ rooms, north: '' });
const cove = [{ run: 'w1', mask: true, cutIn: false, trim: false }];

it('keeps what was typed while another room came', () => {
  const was = plan(room('kiln'));
  const mine = plan(room('kiln', { edges: cove }));
  const theirs = plan(room('kiln'), room('court'));
  const merged = mergedPlan(was, mine, theirs);
  expect(merged.rooms.map((r) => r.id)).toEqual(['kiln', 'court']);
  expect(merged.rooms[0]?.edges).toEqual(cove);
});

it('takes what was answered in a field that nobody touched here', () => {
  const mark = [{ zoneId: 'z', in: { along: '1 m', off: '1 m' } }] as RoomForm['marks'];
  const was = plan(room('kiln', { name: 'Kiln' }));
  const mine = plan(room('kiln', { name: 'Kiln', edges: cove }));
  const theirs = plan(room('kiln', { name: 'Kiln room', marks: mark }));
  const merged = mergedPlan(was, mine, theirs);
  expect(merged.rooms[0]).toMatchObject({ name: 'Kiln room', edges: cove, marks: mark });
});

it('keeps a room that was begun here, and lets go of one that was taken out there', () => {
  const merged = mergedPlan(
    plan(room('a'), room('b')),
    { rooms: [room('a'), room('b'), room('mine')], north: '12' },
    plan(room('a')),
  );
  expect(merged.rooms.map((r) => r.id)).toEqual(['a', 'mine']);
  expect(merged.north).toBe('12');
});
