import { describe, expect, it } from 'vitest';
import { isPast, stageOf } from './stages';

describe('the stage of a place', () => {
  it('is known by its word', () => {
    expect(stageOf('slab')).toBe('survey');
    expect(stageOf('service')).toBe('service');
    expect(stageOf('plan')).toBeNull();
  });

  it('is a layer where it is no word of ours', () => {
    expect(stageOf('clear')).toBe('layer');
    expect(stageOf('sealer-2')).toBe('layer');
    // whatever a layer is called, an object has words of its own
    expect(stageOf('constructor')).toBe('layer');
  });

  it('is the history where an earlier film is meant', () => {
    expect(stageOf('film-1')).toBe('service');
    expect(isPast('film-1')).toBe(true);
    expect(isPast('history')).toBe(true);
    expect(isPast('service')).toBe(false);
  });
});
