import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import type { Without } from '../../sayings/searches-without'
import type { Words } from './words'

export const searchesWithout: Words<FoundOf<'searches-without'>> = {
  says: ({ what }, say) => {
    const has = (one: Without, words: string): string[] => (what.includes(one) ? [words] : [])
    const taken = listed([...has('filter', 'published filter'), ...has('earlier', 'earlier strategy')], 'or')
    const active = [
      ...has('limits', 'set no limits'),
      ...(taken ? [`took over no ${taken}`] : []),
      ...has('review', 'had the strategies reviewed by nobody else'),
    ]
    const passive = [
      ...has('limits', 'no limits were set'),
      ...(taken ? [`no ${taken} was taken over`] : []),
      ...has('review', 'the strategies were reviewed by nobody else'),
    ]
    const words = listed(passive)
    return say(
      [`We ${listed(active)}.`, `In these searches we ${listed(active)}.`],
      [`${words.charAt(0).toUpperCase()}${words.slice(1)}.`, `In these searches, ${words}.`],
    )
  },
}
