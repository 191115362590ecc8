import type { FoundOf } from '../../sayings'
import { afterwards, because } from './reason'
import { databases, were } from './speaker'
import type { Words } from './words'

const VERBS = ['chosen', 'taken', 'added', 'included']

/** Each sentence begins with another name, and of several each has a verb of its own. */
export const chosen: Words<FoundOf<'chosen'>> = {
  says: ({ reasons, only, nth }, say) => {
    const [one, two] = reasons
    if (!one) return []
    const { length } = one.sourceIds
    const why = because(one.reason)
    if (!why) return [`${databases(one.sourceIds)} ${were(length)} wanted too.${afterwards(one.reason)}`]
    if (only)
      return say(
        [`We chose it ${why}.`, `It was chosen ${why}.`],
        [`It was chosen ${why}.`, `Chosen it was ${why}.`],
      )
    const also = two ? `, and ${databases(two.sourceIds)} ${because(two.reason)}` : ''
    const passive = `${databases(one.sourceIds)} ${were(length)} ${VERBS[nth % VERBS.length]} ${why}${also}.`
    return nth ? [passive] : say([`We chose ${databases(one.sourceIds)} ${why}${also}.`, passive], [passive])
  },
}
