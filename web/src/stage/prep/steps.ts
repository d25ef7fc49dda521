import type { StepReport } from '../../api/types';

/** Whether it is what the crew is at: open, under way, or done in part. */
export const stands = (step: StepReport): boolean =>
  step.progress === 'OPEN' || step.progress === 'RUNNING' || step.progress === 'PARTLY';
