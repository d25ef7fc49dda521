import type { SheetForm } from '../../api/types';

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
  mixing: '',
  care: '',
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

/** What a sheet is a sheet of, where its other fields show it. */
export const kindOf = (form: SheetForm): string =>
  form.role === 'BROADCAST'
    ? 'BROADCAST'
    : form.name !== '' && /^[0.,\s]*$/.test(form.partsB)
      ? 'ONE_PART'
      : 'TWO_PART';

/** What somebody wrote: an empty field says nothing. */
export const said = (typed: Record<string, string> | undefined): Record<string, string> =>
  Object.fromEntries(Object.entries(typed ?? {}).filter(([, text]) => text.trim() !== ''));
