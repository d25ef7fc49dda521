import { describe, expect, it } from 'vitest';
import {
  clock,
  countdown,
  dayMonth,
  fromWall,
  happened,
  left,
  longDate,
  monthYear,
  toWall,
  when,
} from './time';

const at = (iso: string) => new Date(iso);

describe('the wall clock where the floor is', () => {
  it('comes back to the same minute, on both sides of a change of the clocks', () => {
    for (const zone of ['America/Denver', 'Europe/Berlin', 'Asia/Kolkata', 'Australia/Lord_Howe']) {
      for (let month = 0; month < 12; month++) {
        const moment = new Date(Date.UTC(2026, month, 15, 13, 7));
        expect(fromWall(toWall(moment, zone), zone)).toEqual(moment);
      }
    }
  });

  it('knows summer from winter', () => {
    expect(toWall(at('2026-01-15T12:00:00Z'), 'America/Denver')).toBe('2026-01-15T05:00');
    expect(toWall(at('2026-07-15T12:00:00Z'), 'America/Denver')).toBe('2026-07-15T06:00');
  });

  it('is no time where nothing sensible was keyed in', () => {
    expect(fromWall('yesterday', 'Europe/Berlin')).toBeNull();
    expect(happened('', 'Europe/Berlin')).toEqual({});
    expect(happened('2026-07-15T14:00', 'Europe/Berlin')).toEqual({
      at: '2026-07-15T12:00:00.000Z',
    });
  });
});

describe('days and months where the floor is', () => {
  it('read as the platform writes them, every day of a leap year', () => {
    for (const zone of ['America/Denver', 'Europe/Berlin', 'Pacific/Auckland']) {
      const as = (options: Intl.DateTimeFormatOptions) =>
        new Intl.DateTimeFormat('en-GB', { ...options, timeZone: zone });
      const long = as({ day: 'numeric', month: 'long', year: 'numeric' });
      const short = as({ weekday: 'short', day: 'numeric', month: 'short' });
      const month = as({ month: 'short', year: 'numeric' });
      const hour = as({ hour: '2-digit', minute: '2-digit' });
      for (let day = 0; day < 366; day++) {
        const moment = new Date(Date.UTC(2028, 0, 1 + day, 5 + (day % 19), 40, (day * 7) % 60));
        expect(longDate(moment, zone)).toBe(long.format(moment));
        expect(dayMonth(moment, zone)).toBe(short.format(moment).replace(',', ''));
        expect(monthYear(moment, zone)).toBe(month.format(moment));
        expect(clock(moment, zone)).toBe(hour.format(moment));
      }
    }
  });
});

describe('how long is left', () => {
  const now = at('2026-05-04T12:00:00Z');
  const after = (minutes: number) => new Date(now.getTime() + minutes * 60_000);

  it.each([
    [-1, 'now'],
    [0.5, '1 min'],
    [59, '59 min'],
    [160, '2 h 40'],
    [19 * 60, '19 h'],
    [3 * 24 * 60, '3 days'],
    [49 * 24 * 60, '7 weeks'],
    [400 * 24 * 60, '13 months'],
    [728 * 24 * 60, '24 months'],
    [4 * 365.25 * 24 * 60, '4 years'],
  ])('says %d minutes as %s', (minutes, words) => {
    expect(left(after(minutes), now)).toBe(words);
  });

  it('counts down to the second, and in hours from an hour on', () => {
    expect(countdown(new Date(now.getTime() + 582_000), now)).toBe('9:42');
    expect(countdown(after(90), now)).toBe('1:30 h');
    expect(countdown(after(-1), now)).toBe('0:00');
  });

  it('names the weekday within the week and the year beyond two months', () => {
    expect(when(at('2026-05-06T08:05:00Z'), 'UTC', now)).toBe('Wed 08:05');
    expect(when(at('2026-06-20T08:05:00Z'), 'UTC', now)).toContain('20 Jun');
    expect(when(at('2027-01-12T08:05:00Z'), 'UTC', now)).toBe('12 January 2027');
  });
});
