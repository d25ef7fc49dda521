import type { Corner, RoomPlan } from '../../api/types';
import type { PlanView } from './planview.svelte';

/** How the walls of a room lie in its drawing. View arithmetic only. */

/** A wall as it is drawn: {@code out} points away from the floor where it is walked with the floor on its left. */
export type DrawnWall = RoomPlan['walls'][number] & {
  a: Corner;
  m: Corner;
  out: Corner;
  /** Degrees by which its words are turned, never upside down. */
  turned: number;
  /** Pixels from end to end. */
  room: number;
};

/** @param held the corner that is being dragged; the walls that meet there are straight until it is let go */
export function drawnWalls(
  plan: RoomPlan,
  corners: readonly Corner[],
  held: number | undefined,
  k: number,
): DrawnWall[] {
  const n = plan.walls.length;
  return plan.walls.map((wall, i) => {
    const next = (i + 1) % n;
    const [from, to] = [corners[i], corners[next]];
    const points = (held === i || held === next) && from && to ? [from, to] : wall.points;
    const a = points[0] ?? { x: 0, y: 0 };
    const b = points.at(-1) ?? a;
    const middle = points.length > 2 ? points[Math.floor(points.length / 2)] : undefined;
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    const out = { x: (b.y - a.y) / length, y: -(b.x - a.x) / length };
    const m = middle ?? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    const turned = (Math.atan2(-(b.y - a.y), b.x - a.x) * 180) / Math.PI;
    return {
      ...wall,
      points,
      a,
      m,
      out,
      turned: turned > 90 || turned <= -90 ? turned + 180 : turned,
      room: length * k,
    };
  });
}

/** Whether a ring is walked with the floor on its left: 1, else -1. */
export function handed(points: readonly Corner[]): 1 | -1 {
  const twice = points.reduce((sum, a, i) => {
    const b = points[(i + 1) % points.length] ?? a;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);
  return twice >= 0 ? 1 : -1;
}

/** Where a wall's length is written, beside it. */
export function labelAt(wall: DrawnWall, hand: number, view: PlanView) {
  return {
    x: view.px(wall.m.x) + wall.out.x * hand * 16,
    y: view.py(wall.m.y) - wall.out.y * hand * 16,
  };
}

/** Lengths that have room to be read: where two would lie over one another, the longer wall's stays. */
export function readable(
  walls: readonly DrawnWall[],
  hand: number,
  view: PlanView,
): Record<string, boolean> {
  const taken: { x: number; y: number; r: number }[] = [];
  const shown: Record<string, boolean> = {};
  for (const wall of walls.filter((w) => w.room > 30).sort((a, b) => b.room - a.room)) {
    const half = wall.text.length * 3.7;
    const angle = (wall.turned * Math.PI) / 180;
    const at = labelAt(wall, hand, view);
    // three circles along the words
    const own = [-half * 0.7, 0, half * 0.7].map((d) => ({
      x: at.x + d * Math.cos(angle),
      y: at.y + d * Math.sin(angle),
      r: 9,
    }));
    const free = own.every((o) => taken.every((t) => Math.hypot(t.x - o.x, t.y - o.y) > t.r + o.r));
    shown[wall.run] = free;
    if (free) {
      taken.push(...own);
    }
  }
  return shown;
}

/** From a corner into the room, for its letter. */
export function inward(corners: readonly Corner[], i: number, hand: number): Corner {
  const n = corners.length;
  const [a, b, c] = [corners[(i + n - 1) % n], corners[i], corners[(i + 1) % n]];
  if (!a || !b || !c) {
    return { x: 0, y: 0 };
  }
  const toA = Math.hypot(a.x - b.x, a.y - b.y) || 1;
  const toC = Math.hypot(c.x - b.x, c.y - b.y) || 1;
  const x = (a.x - b.x) / toA + (c.x - b.x) / toC;
  const y = (a.y - b.y) / toA + (c.y - b.y) / toC;
  const length = Math.hypot(x, y) || 1;
  const into = ((b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x)) * hand >= 0 ? 1 : -1;
  return { x: (into * x) / length, y: (into * y) / length };
}

/** Half along a line of two places, and which way the floor lies from there. */
export function halfway([a, b]: readonly Corner[], hand: number) {
  if (!a || !b) {
    return { x: 0, y: 0, in: { x: 0, y: 0 } };
  }
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return {
    x: (a.x + b.x) / 2,
    y: (a.y + b.y) / 2,
    in: { x: (-hand * (b.y - a.y)) / length, y: (hand * (b.x - a.x)) / length },
  };
}
