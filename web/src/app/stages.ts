import type { Stages } from '../api/types';

/** Which stage each place of a zone shows; null where it shows the job's. */
const PLACES = new Map<string, keyof Stages | null>([
  ['slab', 'survey'],
  ['prep', 'prep'],
  ['build-up', 'build-up'],
  ['choices', 'choices'],
  ['service', 'service'],
  ['history', 'service'],
  ['plan', null],
  ['buy', null],
  ['log', null],
]);

/** What an earlier cycle left is told by the floor's history. */
const FILM = 'film-';

/** The stage of a place; any word that is none of these is a layer's id, whether or not there is such a layer. */
export function stageOf(place: string): keyof Stages | null {
  const stage = PLACES.get(place);
  return stage === undefined ? (place.startsWith(FILM) ? 'service' : 'layer') : stage;
}

/** Whether it is told what the floor went through. */
export const isPast = (place: string): boolean => place === 'history' || place.startsWith(FILM);
