import { describe, expect, it } from 'vitest';
import type { RunningClock } from '../api/types';
import { bars, days, spanAround, ticks, xOf } from './dayline';

const now = new Date('2026-05-04T12:00:00Z');
const clock = (from: number, to: number, label = 'primer'): RunningClock =>
  ({
    label,
    from: new Date(now.getTime() + from * 3_600_000).toISOString(),
    to: new Date(now.getTime() + to * 3_600_000).toISOString(),
    mark: 'WET',
    ends: true,
  }) as unknown as RunningClock;

describe('the bars of the day line', () => {
  const span = spanAround(now, 1200);

  it('show what touches the span and nothing else', () => {
    const all = bars([clock(-30, -20), clock(-1, 2), clock(100, 200)], span, 1200, 3);
    expect(all.map((b) => b.clock.from)).toEqual([clock(-1, 2).from]);
  });

  it('never lie on one another, and stay within the line', () => {
    const many = Array.from({ length: 24 }, (_, i) => clock(i - 4, i + 3));
    const all = bars(many, span, 1200, 4);
    expect(all.length).toBeGreaterThan(4);
    for (const a of all) {
      expect(a.left).toBeGreaterThanOrEqual(0);
      expect(a.right).toBeLessThanOrEqual(1200);
      for (const b of all) {
        expect(a === b || a.row !== b.row || a.right <= b.left || b.right <= a.left).toBe(true);
      }
    }
  });

  it('say where they go on past the edge', () => {
    expect(bars([clock(-1, 400)], span, 1200, 1)[0]?.open).toBe(true);
    expect(bars([clock(-1, 1)], span, 1200, 1)[0]?.open).toBe(false);
  });
});

describe('the hours of the day line', () => {
  it.each([360, 800, 1200, 1900])('are whole and far enough apart at %d px', (width) => {
    const span = spanAround(now, width);
    const at = ticks(span, width, (t) => t.getUTCHours());
    expect(at.some((t) => new Date(t).getUTCHours() === 0)).toBe(true);
    for (let i = 1; i < at.length; i++) {
      expect((at[i] ?? 0) % 3_600_000).toBe(0);
      expect(xOf(at[i] ?? 0, span, width) - xOf(at[i - 1] ?? 0, span, width)).toBeGreaterThan(60);
    }
  });
});

describe('the sky of the day line', () => {
  it('shows the days that touch the span, cut at its edges', () => {
    const span = spanAround(now, 1200);
    const day = (from: number) => ({
      rise: new Date(now.getTime() + from * 3_600_000).toISOString(),
      set: new Date(now.getTime() + (from + 10) * 3_600_000).toISOString(),
    });
    const skies = days([day(-30), day(-12), day(12), day(60)], span, 1200);
    expect(skies.map((s) => s.day.rise)).toEqual([day(-12).rise, day(12).rise]);
    expect(skies[0]?.left).toBe(0);
    expect(skies[0]?.rise).toBeLessThan(0);
    expect(skies[1]?.right).toBeCloseTo((29 / 44) * 1200);
  });
});
