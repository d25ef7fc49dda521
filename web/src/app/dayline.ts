import type { Daylight, RunningClock } from '../api/types';

/** Where bars stand on the day line. View arithmetic only. */

const HOUR = 3_600_000;

export interface Bar {
  clock: RunningClock;
  left: number;
  right: number;
  row: number;
  /** It goes on past the right edge. */
  open: boolean;
}

export interface Span {
  from: number;
  to: number;
}

/** From a while ago to the day after tomorrow. */
export function spanAround(now: Date, width: number): Span {
  const hours = width < 900 ? 30 : 44;
  return { from: now.getTime() - 7 * HOUR, to: now.getTime() + (hours - 7) * HOUR };
}

export const xOf = (at: number, span: Span, width: number): number =>
  ((at - span.from) / (span.to - span.from)) * width;

/** Bars that touch the span, packed into as few rows as they need, at most `rows`. */
export function bars(
  clocks: readonly RunningClock[],
  span: Span,
  width: number,
  rows: number,
): Bar[] {
  const free: number[] = Array.from({ length: rows }, () => -Infinity);
  const placed: Bar[] = [];
  for (const clock of clocks) {
    const from = new Date(clock.from).getTime();
    const to = new Date(clock.to).getTime();
    if (to < span.from || from > span.to) {
      continue;
    }
    const left = Math.max(0, xOf(from, span, width));
    const right = Math.min(width, xOf(to, span, width));
    const needed = Math.max(right, left + 7 * clock.label.length);
    const row = free.findIndex((end) => end <= left);
    if (row >= 0) {
      free[row] = needed + 6;
      placed.push({ clock, left, right: Math.max(right, left + 2), row, open: to > span.to });
    }
  }
  return placed;
}

/** Whole hours to mark, about 70 px apart, so that midnight where the floor is is one of them. */
export function ticks(span: Span, width: number, hourOf: (at: Date) => number): number[] {
  const hours = (span.to - span.from) / HOUR;
  const step = [1, 2, 3, 4, 6, 12].find((s) => (width / hours) * s > 66) ?? 24;
  const all: number[] = [];
  const first = Math.ceil(span.from / HOUR) * HOUR;
  for (let t = first; t <= span.to; t += HOUR) {
    if (hourOf(new Date(t)) % step === 0) {
      all.push(t);
    }
  }
  return all;
}

export interface Sky {
  day: Daylight;
  /** Where the sun rises and sets, also beyond the edges. */
  rise: number;
  set: number;
  /** What of it is seen. */
  left: number;
  right: number;
}

/** The days that touch the span. */
export const days = (daylight: readonly Daylight[], span: Span, width: number): Sky[] =>
  daylight
    .map((day) => ({
      day,
      rise: xOf(new Date(day.rise).getTime(), span, width),
      set: xOf(new Date(day.set).getTime(), span, width),
    }))
    .filter((sky) => sky.set > 0 && sky.rise < width)
    .map((sky) => ({ ...sky, left: Math.max(0, sky.rise), right: Math.min(width, sky.set) }));
