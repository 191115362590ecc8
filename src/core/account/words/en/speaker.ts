import { listed } from '../../../base'
import { outsideOwn } from '../../document'
import type { Voice } from '../../../review'
import { fact } from './fact'

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
export const database = (id: string): string => fact('source.name', id)
export const concept = (id: string): string => fact('concept.name', id)
/** Several sources as a list. */
export const databases = (ids: readonly string[], word?: string): string => listed(ids.map(database), word)

export const were = (n: number): string => (n === 1 ? 'was' : 'were')
export const are = (n: number): string => (n === 1 ? 'is' : 'are')
