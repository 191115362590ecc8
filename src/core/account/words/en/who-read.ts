import { listed } from '../../../base'
import type { FactContext } from '../../facts'
import type { ReadAlike } from '../../sayings/who-read'
import type { Say } from './speaker'
import { fact } from './fact'

/** "by two of us", "by two readers each, not always the same", "by nobody …": who read the works of a group. */
const by = (pass: 'broad' | 'close', { each, among }: ReadAlike, whose: string): string => {
  if (!each) return 'by nobody, but ruled with others by what a filter found'
  const apart = among > each ? (each === 1 ? ', not always the same' : ' each, not always the same') : ''
  return `by ${fact('read.each', `${pass}/${each}`)}${whose}${apart}`
}

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1)

/** How many read each work of a pass, told of `them`. */
export function whoRead(
  pass: 'broad' | 'close',
  groups: readonly ReadAlike[],
  say: Say,
  { review }: FactContext,
): string[] {
  const us = review.account.voice === 'we'
  const readers = (n: number): string => (us ? ' of us' : n === 1 ? ' reader' : ' readers')
  const [only] = groups
  if (groups.length === 1 && only?.each) {
    const { each, among } = only
    const n = fact('read.each', `${pass}/${each}`)
    const N = fact('^read.each', `${pass}/${each}`)
    if (each < among) {
      const people = `${fact('read.among', `${pass}/${each}`)}${readers(among)}`
      return pass === 'broad'
        ? [
            `The reading was shared among ${people}, and each work was read by ${n}.`,
            `Among ${people} the reading was shared, and each work was read by ${n}.`,
          ]
        : [
            `The full texts were shared among ${people}, and each was read by ${n}.`,
            `Among ${people} the full texts were shared, and each was read by ${n}.`,
          ]
    }
    const [all, every] =
      pass === 'broad'
        ? ['all of them', 'each of them']
        : // Not all full texts: those of which it was told that they were read.
          ['all of these full texts', 'each of these full texts']
    const active = `${N}${readers(each)} read ${each === 1 ? all : every}.`
    const passive =
      each === 1
        ? `${capital(all)} were read by ${n}${readers(each)}.`
        : `${capital(every)} was read by ${n}${readers(each)}.`
    return us ? [active, passive] : [passive, active]
  }
  // Whose readers they are is said once.
  const parts = groups.map((g, n) => by(pass, g, n ? '' : readers(g.each)))
  const works = groups.map((g) => fact('read.works', `${pass}/${g.each}`))
  const was = groups[0]?.works === 1 ? 'was' : 'were'
  const list = listed(parts.map((p, n) => `${works[n]!} ${n ? '' : `${was} read `}${p}`))
  const them = pass === 'broad' ? 'these works' : 'the full texts'
  return [`Of ${them}, ${list}.`, `Among ${them}, ${list}.`]
}
