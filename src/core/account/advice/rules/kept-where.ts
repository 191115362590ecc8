import type { Rule } from '../advice'

/** Where a reader finds strategies and data. */
export const keptWhere: Rule = ({ text, context }) =>
  context.figures.searched.length &&
  !/appendi(?:x|ces)|supplement|deposited|repository|available (?:at|from|in|under)/i.test(text)
    ? [{ matter: 'kept', message: 'No word tells where strategies and data are kept.' }]
    : []
