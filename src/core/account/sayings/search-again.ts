import { nextReminder, type Source } from '../../review'
import { searchedIn } from '../standing'
import { daysOf } from '../words'
import type { FactContext } from '../facts'
import { saying } from './saying'

export interface SearchedAgain {
  every: NonNullable<Source['reminder']>['every']
  /** The day on which it is due first, behind the last time of searching. */
  next: string
  sourceIds: string[]
}

/** When a source is due to be searched again, behind the last time that it was; undefined where that is not planned. */
export function nextSearch(review: FactContext['review'], { id, reminder }: Source): string | undefined {
  const last = daysOf(review, id).sort().at(-1)
  if (!reminder || last === undefined) return undefined
  const after = new Date(Date.parse(last) + 86_400_000).toISOString().slice(0, 10)
  return nextReminder(reminder, after)
}

/** Databases that were searched, by when they are to be searched again. */
const toSearchAgain = ({ review }: FactContext): SearchedAgain[] => {
  const all: SearchedAgain[] = []
  for (const source of searchedIn(review)) {
    const next = nextSearch(review, source)
    if (!source.reminder || next === undefined) continue
    const { every } = source.reminder
    const same = all.find((a) => a.every === every && a.next === next)
    if (same) same.sourceIds.push(source.id)
    else all.push({ every, next, sourceIds: [source.id] })
  }
  return all
}

/** Which searches are to be run again, how often and when next: a plan, told as one. */
export const searchAgain = saying<{ plans: SearchedAgain[]; all: boolean }>({
  family: 'to be searched again',
  place: { theme: 'where', phase: 'again', stage: 'searches' },
  finds: {
    when: { planned: (c) => toSearchAgain(c).length > 0 },
    found: (c) => {
      const plans = toSearchAgain(c)
      const searched = searchedIn(c.review).length
      return { plans, all: searched > 1 && plans.length === 1 && plans[0]!.sourceIds.length === searched }
    },
  },
})
