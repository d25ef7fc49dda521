import type { SheetForm } from '../../api/types';

/** What a sheet may give a time for, as the API names them. */
export const CLOCKS: readonly [string, string][] = [
  ['POT_LIFE', 'Pot life'],
  ['RECOAT_OPENS', 'Recoat window opens'],
  ['RECOAT_CLOSES', 'Recoat window closes'],
  ['LIGHT_FOOT', 'Light foot traffic'],
  ['FOOT', 'Foot traffic'],
  ['HEAVY', 'Furniture and heavy loads'],
  ['WATER', 'Water'],
  ['VEHICLE', 'Vehicles'],
  ['FULL_CURE', 'Full cure'],
];

export const EXPOSURES: readonly [string, string][] = [
  ['INDOORS', 'Indoors'],
  ['SHADE', 'Outdoors, shade'],
  ['SUN', 'Outdoors, sun'],
  ['FROST', 'Outdoors, frost and salt'],
];

export const ROLES: readonly [string, string][] = [
  ['PRIMER', 'Primer'],
  ['BODY', 'Body coat'],
  ['BROADCAST', 'Broadcast'],
  ['CLEAR', 'Clear coat'],
];

export const blankSheet = (): SheetForm => ({
  slug: '',
  name: '',
  role: 'CLEAR',
  units: 'US',
  partsA: '',
  partsB: '',
  densityA: '',
  densityB: '',
  volumeSolids: '',
  spread: '',
  firstIn: 'A',
  broadcast: '',
  limits: {},
  clocks: {},
  kits: [],
  reseal: {},
  note: '',
});

/** Times of one clock as one line: "50 °F 75 min; 70 °F 45 min". */
export const timesToLine = (rows: readonly { at: string; time: string }[] | undefined): string =>
  (rows ?? []).map((r) => `${r.at}: ${r.time}`).join('; ');

/** And back; what has no colon is sent as a time without a temperature, and refused with its place. */
export const lineToTimes = (line: string): { at: string; time: string }[] =>
  line
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .map((part) => {
      const [at = '', time = ''] = part.split(':').map((p) => p.trim());
      return { at, time };
    });
