import { outsideOwn, verbatim } from '../../document'
import type { Voice } from '../../../review'

/** Ways to say one thing that begin differently: written with "we", and in the passive. The first is the best. */
export type Say = (active: readonly string[], passive: readonly string[]) => string[]

export function speaker(voice: Voice): Say {
  return (active, passive) => {
    if (voice === 'passive') return [...passive]
    return active.map((words) => (voice === 'we' ? words : inSingular(words)))
  }
}

const inSingular = (words: string): string =>
  outsideOwn(words, (part) =>
    part
      .replace(/\b[Ww]e were\b/g, 'I was')
      .replace(/\b[Ww]e\b/g, 'I')
      .replace(/\bOur\b/g, 'My')
      .replace(/\bour\b/g, 'my')
      .replace(/\bus\b/g, 'me'),
  )

/** A source, a concept and a criterion as a sentence has them. */
export const database = (id: string): string => `{source.name:${id}}`
export const concept = (id: string): string => `{concept.name:${id}}`

const SMALL = new Set(
  'a an the it its they their there this that these those he she we i our my in on at of for from to with without by as because since most many few some all no not only other others such studies records works readers authors searches rules people both each every'.split(
    ' ',
  ),
)

/** The reason as it stands inside a sentence: its first word small where it is a small word, no stop at its end. */
function inside(reason: string): string {
  const said = reason.trim().replace(/\.$/, '')
  const [first = ''] = said.split(/\s/)
  return SMALL.has(first.toLowerCase()) && first !== 'I' ? said[0]!.toLowerCase() + said.slice(1) : said
}

/** Can a reason stand within a sentence? One of several sentences cannot. */
const fits = (reason: string): boolean => !/[.!?]\s+\p{Lu}/u.test(reason.trim())

/** "because …" as the person gave it, for the inside of a sentence; empty where none was given or it is sentences. */
export function because(reason: string): string {
  if (!reason.trim() || !fits(reason)) return ''
  const said = inside(reason)
  return /^(?:because|since|as|for)\b/i.test(said) ? verbatim(said) : `because ${verbatim(said)}`
}

/** The same behind a comma. */
export const commaBecause = (reason: string): string => {
  const why = because(reason)
  return why ? `, ${why}` : ''
}

/** A reason of several sentences, to follow as it is; empty where it stands inside. */
export const afterwards = (reason: string): string =>
  reason.trim() && !fits(reason) ? ` ${verbatim(reason.trim().replace(/([^.!?])$/, '$1.'))}` : ''

export const were = (n: number): string => (n === 1 ? 'was' : 'were')
export const are = (n: number): string => (n === 1 ? 'is' : 'are')
