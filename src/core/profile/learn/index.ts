export { examplesIn, shownBy, type Example, type Shown } from './examples'
export { filledByExamples, type Filled } from './into-draft'
export { learn, type Doubt, type Learned } from './learn'
