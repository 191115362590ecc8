import type { FactContext } from '../../facts'
import type { Rule } from '../advice'
import { databaseCount, limits, searchDays } from './databases'
import { duplicates, knownItems } from './found'
import { differences, protocol, searchReview, textsHad } from './judging'
import { howMuchRead, order, whoReadTexts, whoReadTitles } from './reading'
import type { Matter } from './said'
import { ways } from './ways'

/** Matters of which an edited text may say what the record has otherwise, each looked at by itself. */
export const MATTERS = {
  'how many databases': databaseCount,
  'when was searched': searchDays,
  limits,
  'known items': knownItems,
  duplicates,
  'who read titles': whoReadTitles,
  'how much was read': howMuchRead,
  order,
  differences,
  'full texts had': textsHad,
  'who read full texts': whoReadTexts,
  protocol,
  'search review': searchReview,
  'other ways': ways,
} as const satisfies Record<string, Matter>

/** What the record has otherwise than a sentence, and of which matter; a reason behind “because” is its writer’s own. */
export function otherwise(sentence: string, c: FactContext): { matter: string; record: string } | undefined {
  const said = sentence.replace(/,? because .*$/s, '.')
  for (const [matter, look] of Object.entries(MATTERS)) {
    const record = look(said, c)
    if (record) return { matter, record }
  }
  return undefined
}

/** What somebody wrote is held against the record, matter by matter; drafted sentences follow it by themselves. */
export const untrue: Rule = ({ context, sentences }) =>
  sentences
    .filter((s) => s.edited)
    .flatMap((s) => {
      const found = otherwise(s.text, context)
      if (!found) return []
      return [
        {
          matter: `${found.matter} ${s.text.slice(0, 80)}`,
          message: `The record has it otherwise: ${found.record}.`,
          passage: s.passage,
          words: s.text,
        },
      ]
    })
