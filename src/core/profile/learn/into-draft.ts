import { DESCRIBED_FIELDS, draftOf, type ProfileDraft } from '../draft'
import { freshDraft } from '../patterns'
import { readProfile } from '../schema'
import { learn, type Doubt } from './learn'

export interface Filled {
  draft: ProfileDraft
  doubts: Doubt[]
  questions: string[]
  /** Parts that no example shows and that were as every description begins: they are empty now, rather than wrong. */
  emptied: string[]
  /** How many parts the examples showed. */
  shown: number
}

/** The parts of a draft by their place in a description. */
const PART: Readonly<Record<string, keyof ProfileDraft>> = {
  'operators.and': 'and',
  'operators.or': 'or',
  'operators.not': 'not',
  'truncation.any': 'any',
  'truncation.one': 'one',
  'truncation.upTo': 'upTo',
  'nearness.either': 'nearEither',
  'nearness.ordered': 'nearOrdered',
  'headings.plain': 'heading',
  'headings.below': 'headingBelow',
  'headings.main': 'headingMain',
  'headings.belowMain': 'headingBelowMain',
  'classes.plain': 'code',
  'classes.below': 'codeBelow',
  'lines.reference': 'line',
  'lines.anyOf': 'linesAny',
  'lines.allOf': 'linesAll',
}

/**
 * Fills what pasted examples show into a description that is being typed. What was typed and no example shows stays; what no
 * example shows and still stands as every description begins is emptied, for nobody has said that it is so.
 */
export function filledByExamples(draft: ProfileDraft, pasted: string): Filled {
  const { profile, seen, doubts, questions } = learn(pasted, draft.name.trim() || 'Database')
  const read = readProfile(profile)
  if (!read.ok) return { draft, doubts, questions, emptied: [], shown: 0 }
  const learned = draftOf(read.value)
  const fresh = freshDraft()
  const next: ProfileDraft = { ...draft, fields: { ...draft.fields } }
  const emptied: string[] = []
  const set = <K extends keyof ProfileDraft>(key: K): void => {
    next[key] = learned[key]
  }
  const places = Object.keys(seen)
  for (const [place, key] of Object.entries(PART)) if (seen[place]) set(key)
  if (seen['quotes']) (['quoteOpen', 'quoteClose'] as const).forEach(set)
  if (seen['lines.anyOf'] ?? seen['lines.allOf']) (['linesRange', 'linesSeparator'] as const).forEach(set)
  for (const kind of ['years', 'language'] as const)
    if (seen[`limits.${kind}`])
      next.limits = { ...next.limits, [kind]: { ...next.limits[kind], form: learned.limits[kind].form } }
  const fields = places.filter((p) => p.startsWith('fields.'))
  const untouched = JSON.stringify(draft.fields) === JSON.stringify(fresh.fields)
  if (fields.length && untouched) next.fields = {}
  for (const place of fields) {
    const asked = place.slice('fields.'.length).split(',')
    const of = DESCRIBED_FIELDS.find((f) => f.length === asked.length && f.every((x) => asked.includes(x)))
    const form = read.value.fields.find(
      (f) => f.of.length === asked.length && f.of.every((x) => asked.includes(x)),
    )?.form
    if (form) next.fields[(of ?? asked).join(',')] = form
  }
  const forget = (key: 'any' | 'line', words: string): void => {
    if (
      places.length &&
      next[key] === fresh[key] &&
      next[key] &&
      !seen[key === 'any' ? 'truncation.any' : 'lines.reference']
    ) {
      next[key] = ''
      emptied.push(words)
    }
  }
  forget('any', 'the truncation sign')
  forget('line', 'how a line is referred to')
  return { draft: next, doubts, questions, emptied, shown: places.length }
}
