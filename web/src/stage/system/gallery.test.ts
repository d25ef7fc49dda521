import { expect, it } from 'vitest';
import type { ListedSystem } from '../../api/types';
import { core, fits } from './gallery';

const ramp = {
  version: 0,
  made: 'METAL',
  form: {
    id: 'ramp',
    on: ['METAL'],
    uses: ['RAMP'],
    face: { tone: 'SOLID' },
    layers: [
      { id: 'binder', title: 'Binder', role: 'BODY' },
      { id: 'grit', title: 'Grit', role: 'BROADCAST' },
      { id: 'seal', title: 'Sealer', role: 'SEALER', when: 'where it is walked barefoot' },
    ],
  },
} as unknown as ListedSystem;
const any = { substrate: '', use: '', tone: '' };

it('finds by what is asked, and by nothing finds all', () => {
  expect(fits(ramp, any)).toBe(true);
  expect(fits(ramp, { substrate: 'METAL', use: 'RAMP', tone: 'SOLID' })).toBe(true);
  expect(fits(ramp, { ...any, substrate: 'TIMBER' })).toBe(false);
  expect(fits(ramp, { ...any, use: 'HOME' })).toBe(false);
  expect(fits(ramp, { ...any, tone: 'MOTTLED' })).toBe(false);
});

it('draws what is always laid, on what it is made for', () => {
  expect(core(ramp).map((s) => s.kind)).toEqual(['SLAB', 'BODY', 'BROADCAST']);
  expect(core(ramp)[0]?.made).toBe('METAL');
});
