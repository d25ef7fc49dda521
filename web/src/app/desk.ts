import { getContext, setContext } from 'svelte';
import type { JobDesk } from './job.svelte';

const KEY = Symbol('desk');

/** The one thing a figure needs of the screen it stands on: somewhere to show its working. */
export type Desk = Pick<JobDesk, 'open' | 'opened'>;

export const setDesk = (desk: Desk): Desk => setContext(KEY, desk);

export function getDesk(): Desk {
  const desk = getContext<Desk | undefined>(KEY);
  if (!desk) {
    throw new Error('a FigureButton stands outside a screen with a working panel');
  }
  return desk;
}
