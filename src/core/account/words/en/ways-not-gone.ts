import { listed } from '../../../base'
import type { NotGone } from '../../sayings/ways-not-gone'
import type { FoundOf } from '../../sayings'
import type { Words } from './words'

/** "a, b or c" of what is there, with words around it; nothing of nothing. */
const some = (around: (list: string) => string, list: readonly string[]): string[] =>
  list.length ? [around(listed([...list], 'or'))] : []

export const waysNotGone: Words<FoundOf<'ways-not-gone'>> = {
  says: ({ what }, say) => {
    const has = (one: NotGone, words: string): string[] => (what.includes(one) ? [words] : [])
    const places = [...has('registers', 'registers of studies'), ...has('websites', 'websites')]
    const apart = what.includes('at once')
    const nobody = what.includes('people')
    const active = [
      ...some((list) => `searched no ${list}`, places),
      ...has('references', 'read no reference lists'),
      ...has('citing', 'looked for no citing works'),
      ...(nobody ? ['asked nobody for further works'] : []),
      ...(apart ? ['searched no two databases at once'] : []),
    ]
    const passive = [
      ...some((list) => `no ${list} were searched`, places),
      ...has('references', 'no reference lists were read'),
      ...has('citing', 'no citing works were looked for'),
      ...(nobody ? ['nobody was asked for further works'] : []),
      ...(apart ? ['no two databases were searched at once'] : []),
    ]
    const first = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
    return say(
      [`We ${listed(active)}.`, `Beyond this we ${listed(active)}.`],
      [`${first(listed(passive))}.`, `Beyond this, ${listed(passive)}.`],
    )
  },
}
