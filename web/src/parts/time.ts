/** Moments as a crew says them, in the floor's own time zone. Formatting only. */

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/** One for each zone: to make one takes longer than all that it is asked for on a screen. */
const formats = new Map<string, Intl.DateTimeFormat>();

function format(zone: string): Intl.DateTimeFormat {
  let known = formats.get(zone);
  if (!known) {
    known = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    });
    formats.set(zone, known);
  }
  return known;
}

/** Minutes that `zone` is ahead of UTC at `at`. */
function offsetMinutes(at: Date, zone: string): number {
  const parts = format(zone).formatToParts(at);
  const part = (type: string) => Number(parts.find((p) => p.type === type)?.value);
  const wall = Date.UTC(part('year'), part('month') - 1, part('day'), part('hour'), part('minute'));
  // the wall's clock shows no seconds: the moment is taken without its own
  return Math.round(wall / MINUTE - Math.floor(at.getTime() / MINUTE));
}

/** What the clock and the calendar on the floor's wall show, read as UTC. */
const wallOf = (at: Date, zone: string): Date =>
  new Date(at.getTime() + offsetMinutes(at, zone) * MINUTE);

const monthName = (wall: Date): string => MONTHS[wall.getUTCMonth()] ?? '';
/** As it is shortened in Britain, where September keeps its t. */
const shortMonth = (wall: Date): string =>
  monthName(wall).slice(0, wall.getUTCMonth() === 8 ? 4 : 3);
const dayName = (wall: Date): string => DAYS[wall.getUTCDay()] ?? '';

export const clock = (at: Date, zone: string): string =>
  wallOf(at, zone).toISOString().slice(11, 16);

export const weekday = (at: Date, zone: string): string => dayName(wallOf(at, zone));

export function dayMonth(at: Date, zone: string): string {
  const wall = wallOf(at, zone);
  return `${dayName(wall)} ${wall.getUTCDate()} ${shortMonth(wall)}`;
}

export function monthYear(at: Date, zone: string): string {
  const wall = wallOf(at, zone);
  return `${shortMonth(wall)} ${wall.getUTCFullYear()}`;
}

export const year = (at: Date, zone: string): string => String(wallOf(at, zone).getUTCFullYear());

export function longDate(at: Date, zone: string): string {
  const wall = wallOf(at, zone);
  return `${wall.getUTCDate()} ${monthName(wall)} ${wall.getUTCFullYear()}`;
}

/** "Tue 14:20" within the week, "12 Jan 2027" beyond. */
export function when(at: Date, zone: string, now: Date): string {
  const away = Math.abs(at.getTime() - now.getTime());
  if (away < 6 * DAY) {
    return `${weekday(at, zone)} ${clock(at, zone)}`;
  }
  if (away < 60 * DAY) {
    return `${dayMonth(at, zone)} ${clock(at, zone)}`;
  }
  return longDate(at, zone);
}

/** "2 h 40", "19 h", "3 days", "7 weeks", "13 months"; "now" once it is over. */
export function left(at: Date, now: Date): string {
  const ms = at.getTime() - now.getTime();
  if (ms <= 0) {
    return 'now';
  }
  if (ms < HOUR) {
    return `${Math.ceil(ms / MINUTE)} min`;
  }
  if (ms < 12 * HOUR) {
    const minutes = Math.floor((ms % HOUR) / MINUTE);
    return `${Math.floor(ms / HOUR)} h ${String(minutes).padStart(2, '0')}`;
  }
  if (ms < 2 * DAY) {
    return `${Math.round(ms / HOUR)} h`;
  }
  if (ms < 21 * DAY) {
    return `${Math.round(ms / DAY)} days`;
  }
  if (ms < 182 * DAY) {
    return `${Math.round(ms / (7 * DAY))} weeks`;
  }
  if (ms < 730 * DAY) {
    return `${Math.round(ms / (30.44 * DAY))} months`;
  }
  return `${Math.round(ms / (365.25 * DAY))} years`;
}

/** So many minutes after a moment. */
export const after = (at: string, minutes: number): Date =>
  new Date(new Date(at).getTime() + minutes * MINUTE);

/** How many minutes ago that was. */
export const minutesSince = (at: string, now: Date): number =>
  (now.getTime() - new Date(at).getTime()) / MINUTE;

/** What a timer shows: "9:42", "23:59 h" from an hour on. */
export function countdown(to: Date, now: Date): string {
  const seconds = Math.max(0, Math.ceil((to.getTime() - now.getTime()) / 1000));
  const two = (n: number) => String(n).padStart(2, '0');
  return seconds < 3600
    ? `${Math.floor(seconds / 60)}:${two(seconds % 60)}`
    : `${Math.floor(seconds / 3600)}:${two(Math.floor((seconds % 3600) / 60))} h`;
}

/** For an input of type datetime-local: the wall clock where the floor is. */
export function toWall(at: Date, zone: string): string {
  return wallOf(at, zone).toISOString().slice(0, 16);
}

const WALL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;

/** The moment that the floor's wall clock shows `wall`; null when it is not a time. */
export function fromWall(wall: string, zone: string): Date | null {
  const asUtc = new Date(`${wall}:00Z`);
  // a Date makes something of nearly any words
  if (!WALL.test(wall) || Number.isNaN(asUtc.getTime())) {
    return null;
  }
  const guess = new Date(asUtc.getTime() - offsetMinutes(asUtc, zone) * MINUTE);
  return new Date(asUtc.getTime() - offsetMinutes(guess, zone) * MINUTE);
}

/** What an entry says of its moment: nothing where it is now. @param wall the floor's wall clock */
export function happened(wall: string, zone: string): { at?: string } {
  const at = wall === '' ? null : fromWall(wall, zone);
  return at ? { at: at.toISOString() } : {};
}
