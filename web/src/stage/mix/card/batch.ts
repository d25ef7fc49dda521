import type { LayerBatches, NextBatch, RecipeForm } from '../../../api/types';

/** What a planned batch is asked with. @param tare what its empty pail weighs; empty where the scale is set to nothing */
export const asPlanned = (next: NextBatch, tare: string, units: string): RecipeForm => ({
  way: 'MIXED',
  measuring: next.measuring,
  // to the last digit: rounded up it might no longer go into one pail
  values: { volume: `${next.run.volume.value} ${next.run.volume.unit}` },
  vessel: { holds: `${next.vesselL} L`, ...(tare.trim() ? { tare } : {}) },
  extras: {},
  units,
});

/**
 * Which batch comes next, where {@link held} of them are mixed and nobody was told yet. Batches of one run are alike; null where that
 * one is not known without a signal.
 */
export function upcoming(batches: LayerBatches, held: number): NextBatch | null {
  const first = batches.next;
  if (!first || held === 0) {
    return first ?? null;
  }
  const number = first.number + held;
  const alike = [first, ...batches.later].find((b) => number >= b.number && number <= b.run.last);
  return alike ? { ...alike, number } : null;
}
