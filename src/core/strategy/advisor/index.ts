export { adviseSteps, STEP_MAKERS, type Advised, type CountedStep } from './advise'
export type { Offered, Step, StepContext, StepLine } from './step'
