import { listed } from '../../../base'
import { inFields, joined, walk, type Expr } from '../../../query'
import { termExpression } from '../../draft/draft'
import { unitsOf } from '../../draft/units'
import { leavesOf, type Part } from '../../tree'
import { plain, withMore, withWords } from '../change'
import type { Finding, Judging, Rule } from '../check'
import { gainOfMore, gainWords, worth, measured } from '../gain'
import { demands, isHeading, ownTerms, saidOf } from './demands'
import { headingCalled } from './headings'

const ELEMENT = 'Translation of the question'

/** A concept that is asked for in headings alone although the records of the newest works have none yet. */
export const noWordsAsked: Rule = (c) =>
  demands(c).flatMap(({ part, concept }): Finding[] => {
    if (!saidOf(c, part, concept.id).every(isHeading)) return []
    const words = ownTerms(c, concept.id).flatMap((t) => (t.kind === 'text' ? (termExpression(t) ?? []) : []))
    const more = words.length ? inFields(['text'], joined('or', words)) : undefined
    const gain = more && c.searched ? gainOfMore(c, part, c.find(more)) : undefined
    return [
      {
        code: 'no-words-asked',
        kind: 'form',
        element: ELEMENT,
        lineId: c.lines[part.line - 1]!.id,
        about: concept.id,
        message: `${concept.letter} ${concept.name} is asked for in headings alone, in line ${part.line}${gain ? `; the words of the plan bring ${gainWords(gain)}` : ''}.`,
        why: 'The newest records, and those that were badly indexed, are found by words alone.',
        ...measured(gain),
        fixes: more ? withMore(c, part.line, [more], 'Add the words of the plan') : [],
      },
    ]
  })

/** A concept that is asked for in words alone although the source has a vocabulary that has it. */
export const noHeadingAsked: Rule = (c) =>
  demands(c).flatMap(({ part, concept }): Finding[] => {
    const { thesaurus } = c
    const asked = saidOf(c, part, concept.id)
    if (!thesaurus || asked.some((l) => isHeading(l) || l.fields?.includes('subject'))) return []
    const planned = ownTerms(c, concept.id).flatMap((t) =>
      t.kind === 'heading' && t.sourceId === c.sourceId ? (termExpression(t) ?? []) : [],
    )
    const more = planned.length ? planned : headingsFor(c, part)
    if (!more.length) return []
    const all = joined('or', more)
    const gain = c.searched ? gainOfMore(c, part, c.find(all)) : undefined
    if (c.searched && !worth(c, part, gain)) return []
    const names = listed(more.flatMap((e) => (e.kind === 'heading' ? [`“${e.label}”`] : [plain(e)])))
    return [
      {
        code: 'no-heading-asked',
        kind: 'form',
        element: 'Subject headings',
        lineId: c.lines[part.line - 1]!.id,
        about: concept.id,
        message: `${concept.letter} ${concept.name} is asked for in words alone, in line ${part.line}; ${c.profile.name} has ${names}${gain ? `, which ${more.length === 1 ? 'brings' : 'bring'} ${gainWords(gain)}` : ''}.`,
        why: 'Headings find records whose authors use other words.',
        ...measured(gain),
        fixes: withMore(c, part.line, more, `Add ${names}`),
      },
    ]
  })

/** Headings that are called as a word or phrase of this part, or that one of these leads to. */
function headingsFor(c: Judging, part: Part): Expr[] {
  const found = leavesOf(part).flatMap((l) => headingCalled(c, l.at) ?? [])
  return [...new Set(found)].map((h) => ({
    kind: 'heading',
    label: h.label,
    below: h.narrower.length > 0,
    main: false,
  }))
}

/** Words of the plan that are not asked for where their concept is. */
export const plannedMissing: Rule = (c) =>
  demands(c, true).flatMap(({ part, concept }): Finding[] => {
    const leaves = leavesOf(part)
    // Where no word is asked for, that is what is told.
    if (!c.searched || leaves.every(isHeading)) return []
    const all = saidOf(c, part, concept.id)
    // What stands near something else is asked for too, if more narrowly.
    const said = new Set(
      all.flatMap((l) => [l.at, ...(l.at.kind === 'near' ? walk(l.at) : [])]).flatMap((e) => wordsIn(e)),
    )
    const missing = ownTerms(c, concept.id).flatMap((t) => {
      const e = t.kind === 'text' ? termExpression(t) : undefined
      if (!e || unitsOf(e).every((u) => said.has(u.key))) return []
      const gain = gainOfMore(c, part, c.find(inFields(['text'], e)))
      return worth(c, part, gain) ? [{ e, gain: gain! }] : []
    })
    if (!missing.length) return []
    missing.sort((a, b) => b.gain.wanted - a.gain.wanted || b.gain.hits - a.gain.hits)
    const names = listed(missing.map((m) => plain(m.e)))
    const first = missing[0]!
    const line = (leaves.find((l) => !isHeading(l)) ?? part).line
    return [
      {
        code: 'planned-missing',
        kind: 'gain',
        element: ELEMENT,
        lineId: c.lines[line - 1]!.id,
        about: concept.id,
        message: `${names} ${missing.length === 1 ? 'is' : 'are'} planned for ${concept.letter} ${concept.name}, and line ${line} does not ask for ${missing.length === 1 ? 'it' : 'them'}; ${missing.length === 1 ? 'it' : `${plain(first.e)} alone`} brings ${gainWords(first.gain)}.`,
        why: 'What was planned and is not asked for anywhere is found by chance only.',
        gain: { hits: first.gain.hits, wanted: first.gain.wanted },
        fixes: withWords(
          c,
          line,
          missing.map((m) => m.e),
          `Add ${names}`,
        ),
      },
    ]
  })

const wordsIn = (e: Expr): string[] => unitsOf(e).map((u) => u.key)
