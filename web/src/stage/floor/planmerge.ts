import type { PlanForm, RoomForm } from '../../api/types';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

function mergedRoom(was: RoomForm, mine: RoomForm, theirs: RoomForm): RoomForm {
  const changed = Object.entries(mine).filter(
    ([field, value]) => !same(value, was[field as keyof RoomForm]),
  );
  return { ...theirs, ...Object.fromEntries(changed) };
}

/**
 * A plan as it was answered, with what was typed while the answer was on its way: of each room the fields that were changed here are
 * kept, all others are theirs.
 */
export function mergedPlan(was: PlanForm, mine: PlanForm, theirs: PlanForm): PlanForm {
  const known = new Set([...was.rooms, ...theirs.rooms].map((r) => r.id));
  const rooms = theirs.rooms.map((room) => {
    const before = was.rooms.find((r) => r.id === room.id);
    const here = mine.rooms.find((r) => r.id === room.id);
    return before && here ? mergedRoom(before, here, room) : room;
  });
  return {
    ...theirs,
    north: mine.north === was.north ? theirs.north : mine.north,
    rooms: [...rooms, ...mine.rooms.filter((r) => !known.has(r.id))],
  };
}
