import type { LogView } from '../api/types';

/** Entries of one zone that tell of one part of its floor, one after the other. */
export interface Passage {
  zone: string;
  /** Of what: "survey", "body coat"; empty where it is only notes. */
  of: string;
  entries: LogView[];
  /** What was ticked as ready meanwhile: many small ones, told together. */
  ready: LogView[];
}

export interface Day {
  date: string;
  passages: Passage[];
  /** How many entries, ticks among them. */
  count: number;
}

const OF_THE_SLAB: readonly LogView['kind'][] = ['READING', 'PLACE', 'SET', 'AREA'];

/** Which part of a floor an entry tells of. @param layers titles of layers by their ids */
function part(entry: LogView, layers: ReadonlyMap<string, string>): string {
  const [head = ''] = entry.subject.split('/');
  if (OF_THE_SLAB.includes(entry.kind)) {
    return 'survey';
  }
  const layer = layers.get(head);
  if (layer) {
    return layer.toLowerCase();
  }
  return entry.kind === 'NOTE' || entry.kind === 'NEED' || entry.kind === 'STRIKE'
    ? ''
    : 'preparation';
}

/** The logbook by day, and within a day by what of the floor it is about, in the order in which it is given. */
export function days(
  log: readonly LogView[],
  date: (entry: LogView) => string,
  layers: ReadonlyMap<string, string>,
): Day[] {
  const all: Day[] = [];
  for (const entry of log) {
    const on = date(entry);
    let day = all.at(-1);
    if (day?.date !== on) {
      day = { date: on, passages: [], count: 0 };
      all.push(day);
    }
    const of = part(entry, layers);
    let passage = day.passages.at(-1);
    // a note belongs where it was written
    if (passage?.zone !== entry.zone || (of !== '' && passage.of !== of)) {
      passage = { zone: entry.zone, of, entries: [], ready: [] };
      day.passages.push(passage);
    }
    (entry.kind === 'TICK' && !entry.struck ? passage.ready : passage.entries).push(entry);
    day.count += 1;
  }
  return all;
}
