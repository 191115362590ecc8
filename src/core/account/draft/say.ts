import { outsideOwn, verbatim } from '../document'
import type { Voice } from '../../review'

/** Chooses between a sentence in the first person (written with "we") and one in the passive. */
export type Say = (active: string, passive: string) => string

export function speaker(voice: Voice): Say {
  return (active, passive) => {
    if (voice === 'passive') return passive
    return voice === 'we'
      ? active
      : outsideOwn(active, (part) => part.replace(/\b[Ww]e\b/g, 'I').replace(/\bour\b/g, 'my'))
  }
}

/** A source by its name, as a sentence has it. */
export const database = (id: string): string => `{source.name:${id}}`

/** A reason as the person gave it, to stand behind a comma; empty where none was given. */
export function because(reason: string): string {
  const said = reason.trim().replace(/\.$/, '')
  if (!said) return ''
  return /^(?:because|since|as|for)\b/i.test(said)
    ? `, ${verbatim(said[0]!.toLowerCase() + said.slice(1))}`
    : `, because ${verbatim(said)}`
}

/** A concept by its name, as a sentence has it. */
export const concept = (id: string): string => `{concept.name:${id}}`
