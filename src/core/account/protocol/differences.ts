import { limitWords } from '../../query'
import type { FrozenPlan } from '../../review'
import { askedWords } from '../words'

/** One matter in which two plans differ. */
export interface Difference {
  /** Names the matter, the same whatever became of it: `limit:` and an id, `question`. */
  key: string
  /** What it is about, in words. */
  about: string
  /** What it was and what it is; absent: it was not there, or is no longer. */
  from?: string
  to?: string
}

/** Things of a plan that have an id, as a reader sees them. */
interface Thing {
  id: string
  words: string
}

const quoted = (words: string): string => `“${words.trim()}”`
const ROLE = { true: 'required', false: 'not required' } as const

/** Lists of a plan, what one thing of each is called, and how it reads. */
const LISTS: readonly { key: string; about: string; of: (plan: FrozenPlan) => Thing[] }[] = [
  {
    key: 'concept',
    about: 'concept',
    of: (p) => p.concepts.map((c) => ({ id: c.id, words: `${quoted(c.name)}, ${ROLE[`${c.essential}`]}` })),
  },
  {
    key: 'source',
    about: 'source',
    of: (p) => p.sources.map((s) => ({ id: s.id, words: `${s.name} (${s.kind})` })),
  },
  {
    key: 'limit',
    about: 'limit',
    of: (p) => p.limits.map((l) => ({ id: l.id, words: limitWords(l.limit) })),
  },
  {
    key: 'criterion',
    about: 'question asked of each work',
    of: (p) =>
      p.criteria
        .filter((c) => c.text.trim())
        .map((c) => ({
          id: c.id,
          words: `${askedWords({ ...c, text: quoted(c.text) })} of ${c.pass === 'broad' ? 'titles and abstracts' : 'full texts'}`,
        })),
  },
]

/**
 * The matters in which a plan differs from an earlier one, each once. What reads the same is the same; known items are one
 * matter together, and so is which concepts stand for each other.
 */
export function planDifferences(before: FrozenPlan, after: FrozenPlan): Difference[] {
  const found: Difference[] = []
  const matter = (key: string, about: string, from: string, to: string): void => {
    if (from === to) return
    found.push({ key, about, ...(from ? { from } : {}), ...(to ? { to } : {}) })
  }
  matter('question', 'question', before.question.trim(), after.question.trim())
  matter('framework', 'framework', before.framework, after.framework)
  for (const { key, about, of } of LISTS) {
    const [was, is] = [of(before), of(after)]
    for (const id of new Set([...was, ...is].map((t) => t.id))) {
      const words = (list: readonly Thing[]): string => list.find((t) => t.id === id)?.words ?? ''
      matter(`${key}:${id}`, about, words(was), words(is))
    }
  }
  matter('alternatives', 'concepts of which one is enough', groups(before), groups(after))
  matter('known', 'known items', titles(before), titles(after))
  matter('readers', 'readers of each work', String(before.readers), String(after.readers))
  return found
}

const groups = ({ alternatives, concepts }: FrozenPlan): string =>
  alternatives
    .map(({ conceptIds }) =>
      conceptIds.map((id) => concepts.find((c) => c.id === id)?.name ?? '').join(' or '),
    )
    .join('; ')
const titles = ({ knownItems }: FrozenPlan): string =>
  knownItems.map((k) => k.title.trim() || (k.doi ?? k.id)).join('; ')
