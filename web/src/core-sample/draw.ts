import type { Mark, Stratum } from '../api/types';

/** Where things stand on the drawn core. View arithmetic only: the true figure is printed beside each stratum. */

export interface Slice {
  stratum: Stratum;
  top: number;
  height: number;
  /** False where it is not on the floor yet: drawn as a ghost. */
  real: boolean;
}

const NOT_YET: ReadonlySet<Mark> = new Set<Mark>([
  'NOT_STARTED',
  'GO',
  'WATCH',
  'HOLD',
  'STOP',
  'IN_HAND',
]);

const PREP = 10;
const SERVICE = 12;
const THINNEST = 15;

/** Compressed: each doubling of the film adds the same height, so a 2 mil seal can be seen beside a 60 mil overlay. */
export function heightOf(stratum: Stratum): number {
  switch (stratum.kind) {
    case 'SLAB':
      return 0;
    case 'PREP':
      return PREP;
    case 'SERVICE':
      return SERVICE;
    case 'BROADCAST':
      return 24;
    case 'STAIN':
    case 'ANTIQUE':
      return 12;
    default:
      return THINNEST + 7 * Math.log2(1 + stratum.filmUm / 60);
  }
}

export function isReal(stratum: Stratum): boolean {
  if (stratum.kind === 'SLAB') {
    return true;
  }
  if (stratum.kind === 'PREP') {
    return stratum.mark === 'DONE';
  }
  return stratum.kind === 'SERVICE'
    ? stratum.mark === 'GO' || stratum.mark === 'OVERDUE'
    : !NOT_YET.has(stratum.mark);
}

/** Height of the whole core, so that every layer has a row beside it. */
export const rowOf = (strata: number): number => (strata > 8 ? 58 : 66);
export const coreOf = (strata: number): number => Math.max(420, strata * rowOf(strata));

/** From the top down; the slab takes what is left of `total`. */
export function slices(strata: readonly Stratum[], total: number): Slice[] {
  const built = strata.slice(1).reduce((sum, s) => sum + heightOf(s), 0);
  let top = total;
  return strata.map((stratum, i) => {
    const height = i === 0 ? total - built : heightOf(stratum);
    top -= height;
    return { stratum, top, height, real: isReal(stratum) };
  });
}

/** The same numbers for the same seed, so that a floor's stones do not dance. */
function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

export function seedOf(text: string): number {
  let hash = 2166136261;
  for (const c of text) {
    hash = Math.imul(hash ^ (c.codePointAt(0) ?? 0), 16777619);
  }
  return hash >>> 0;
}

/** Aggregate as rough polygons, one path per colour. */
export function stones(
  seed: number,
  width: number,
  top: number,
  bottom: number,
  colours: number,
): string[] {
  const next = random(seed);
  const paths = Array.from({ length: colours }, () => '');
  const count = Math.round(((bottom - top) * width) / 95);
  for (let i = 0; i < count; i++) {
    const big = next() < 0.22;
    const r = big ? 3 + next() * 4.5 : 0.8 + next() * 2.2;
    const x = r * 0.6 + next() * (width - r * 1.2);
    const y = top + r + next() * (bottom - top - 2 * r);
    const corners = big ? 6 : 5;
    let d = '';
    for (let k = 0; k < corners; k++) {
      const a = ((k + next() * 0.7) / corners) * 2 * Math.PI;
      const px = Math.min(width - 0.5, Math.max(0.5, x + Math.cos(a) * r * (0.75 + next() * 0.4)));
      d += `${k === 0 ? 'M' : 'L'}${px.toFixed(1)} ${(y + Math.sin(a) * r * 0.8).toFixed(1)}`;
    }
    const which = Math.floor(next() * colours);
    paths[which] = `${paths[which] ?? ''}${d}Z`;
  }
  return paths;
}

/** Lines along a solid body: growth in timber, the marks of rolling in metal. */
export function grain(
  seed: string,
  width: number,
  top: number,
  bottom: number,
  wavy: boolean,
): string {
  const next = random(seedOf(seed));
  let d = '';
  for (let y = top + 4; y < bottom; y += 5 + next() * 7) {
    const dip = wavy ? (next() - 0.5) * 8 : 0;
    d += `M0 ${y.toFixed(1)}q${(width / 2).toFixed(1)} ${dip.toFixed(1)} ${width} 0`;
  }
  return d;
}

/** Flake thrown into a band: small chips, one path per colour. */
export function chips(
  seed: number,
  width: number,
  top: number,
  height: number,
  colours: number,
): string[] {
  const next = random(seed);
  const paths = Array.from({ length: colours }, () => '');
  for (let i = 0; i < (width * height) / 22; i++) {
    const x = next() * (width - 4);
    const y = top + 1 + next() * (height - 3);
    const w = 1.5 + next() * 3;
    const h = 0.8 + next() * 1.4;
    const which = Math.floor(next() * colours);
    paths[which] =
      `${paths[which] ?? ''}M${x.toFixed(1)} ${y.toFixed(1)}h${w.toFixed(1)}v${h.toFixed(1)}h-${w.toFixed(1)}z`;
  }
  return paths;
}
