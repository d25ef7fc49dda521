/** What a new zone of the job lives through, until somebody says otherwise. */
export const usualExposure = (setting: string): string =>
  setting === 'OUTDOORS' ? 'SUN' : 'INDOORS';
