import { planCuts } from '@/core/cut';
import { workInSteps } from '@/shell/running/stepping';

/** Plans a job, and tells how far it is and the best so far. */
workInSteps(planCuts, (step) => step);
