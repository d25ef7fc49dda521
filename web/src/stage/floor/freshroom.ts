import type { RoomForm } from '../../api/types';

/** A room in which nothing stands yet. */
export const freshRoom = (id: string, name: string): RoomForm => ({
  id,
  name,
  runs: [],
  checks: [],
  edges: [],
  openings: [],
  ramps: [],
  stairs: [],
  doors: [],
  joints: [],
  cracks: [],
  cuts: [],
  marks: [],
  gaps: [],
  lips: [],
});
