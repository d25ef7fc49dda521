import type { JobForm, ZoneForm } from '../../api/types';

/** What a new zone of the job lives through, until somebody says otherwise. */
export const usualExposure = (setting: JobForm['setting']): ZoneForm['exposure'] =>
  setting === 'OUTDOORS' ? 'SUN' : 'INDOORS';
