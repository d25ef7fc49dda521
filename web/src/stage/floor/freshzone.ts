import type { JobForm, ZoneForm } from '../../api/types';
import { usualExposure } from './exposure';

/** A zone that nobody said anything of but what its job says. */
export const freshZone = (job: JobForm): ZoneForm => ({
  name: '',
  shape: 'rectangle',
  sides: { length: '', width: '', cutLength: '', cutWidth: '' },
  substrate: 'BARE_CONCRETE',
  use: 'UNSAID',
  exposure: usualExposure(job.setting),
  dust: true,
  washWater: true,
  limits: [],
  settings: {
    pace: job.units === 'US' ? '11 ft²/min' : '1 m²/min',
    share: '80 %',
    allowance: '10 %',
  },
});

/** The first floor of a job of which only two lengths are known. */
export const firstZone = (job: JobForm, sides: { length: string; width: string }): ZoneForm => ({
  ...freshZone(job),
  name: 'Floor',
  sides,
});
