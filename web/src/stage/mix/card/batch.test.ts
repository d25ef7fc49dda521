import { describe, expect, it } from 'vitest';
import type { LayerBatches, NextBatch } from '../../../api/types';
import { asPlanned, upcoming } from './batch';

const batch = (number: number, first: number, last: number): NextBatch =>
  ({
    number,
    run: { first, last, bays: `bay ${first}`, volume: { value: 7.25, unit: 'L' } },
    measuring: 'SCALE',
    vesselL: 15,
  }) as unknown as NextBatch;

const batches = (next: NextBatch | undefined, later: NextBatch[]): LayerBatches =>
  ({ next, later }) as unknown as LayerBatches;

describe('the batch that comes next', () => {
  const three = batches(batch(2, 1, 4), [batch(5, 5, 5), batch(6, 6, 7)]);

  it('is the one that was told while everybody knows what was mixed', () => {
    expect(upcoming(three, 0)?.number).toBe(2);
    expect(upcoming(batches(undefined, []), 0)).toBeNull();
  });

  it('is counted on by what waits on this device, alike within its run', () => {
    expect(upcoming(three, 2)).toMatchObject({ number: 4, run: { first: 1 } });
    expect(upcoming(three, 3)).toMatchObject({ number: 5, run: { first: 5 } });
    expect(upcoming(three, 5)).toMatchObject({ number: 7, run: { first: 6 } });
  });

  it('is not guessed at beyond what was told', () => {
    expect(upcoming(three, 6)).toBeNull();
    expect(upcoming(batches(undefined, []), 1)).toBeNull();
  });
});

describe('what a planned batch is asked with', () => {
  it('is its volume to the last digit, and its pail', () => {
    const asked = asPlanned(batch(1, 1, 1), ' ', 'US');
    expect(asked.values).toEqual({ volume: '7.25 L' });
    expect(asked.vessel).toEqual({ holds: '15 L' });
    expect(asPlanned(batch(1, 1, 1), '2 lb', 'US').vessel).toEqual({ holds: '15 L', tare: '2 lb' });
  });
});
