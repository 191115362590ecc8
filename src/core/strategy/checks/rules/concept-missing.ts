import { listed } from '../../../base'
import type { Finding, Rule } from '../check'
import { ownTerms } from './demands'

const ELEMENT = 'Translation of the question'

/** A concept that must be named, and that the line which counts does not ask for. */
export const conceptMissing: Rule = (c) => {
  const { root } = c.search
  if (!root) return []
  const asked = c.about.all(root)
  return c.concepts.flatMap((k): Finding[] => {
    // Where nothing is planned of it nothing tells whether a line is about it.
    const known = ownTerms(c, k.id).length > 0 || c.lines.some((l) => l.conceptId === k.id)
    if (!k.essential || asked.has(k.id) || !known) return []
    const own = c.lines.flatMap((l, i) =>
      c.search.roots[i] && c.about.all(c.search.roots[i]).has(k.id) ? [l] : [],
    )
    const lines =
      own.length === 1 ? `line ${own[0]!.number} is` : `lines ${listed(own.map((l) => String(l.number)))} are`
    return [
      {
        code: 'concept-missing',
        kind: 'form',
        element: ELEMENT,
        conceptId: k.id,
        about: '',
        message: `${k.letter} ${k.name} is essential, and line ${c.search.counting}, which counts, does not ask for it${own.length ? `; ${lines} not joined to it` : ''}.`,
        why: 'What the line that counts does not ask for was not searched for; join it, or make the concept optional.',
        fixes: [],
      },
    ]
  })
}

/** Before there are lines: a concept without words, or without a heading where the source has a vocabulary. */
export const planThin: Rule = (c) =>
  c.lines.length
    ? []
    : c.concepts.flatMap((k): Finding[] => {
        const own = ownTerms(c, k.id)
        const base = { kind: 'form', element: ELEMENT, conceptId: k.id, about: '', fixes: [] } as const
        const words = own.some((t) => t.kind === 'text' || t.kind === 'named')
        const heads = own.some(
          (t) => (t.kind === 'heading' || t.kind === 'class') && t.sourceId === c.sourceId,
        )
        if (!k.essential) return []
        return [
          ...(words
            ? []
            : [
                {
                  ...base,
                  code: 'no-words',
                  message: `${k.letter} ${k.name} has no text words.`,
                  why: 'The newest records, and those that were badly indexed, are found by words alone.',
                },
              ]),
          ...(heads || !c.thesaurus
            ? []
            : [
                {
                  ...base,
                  code: 'no-heading',
                  message: `${k.letter} ${k.name} has no heading, and ${c.profile.name} has a vocabulary.`,
                  why: 'Headings find records whose authors use other words.',
                },
              ]),
        ]
      })
