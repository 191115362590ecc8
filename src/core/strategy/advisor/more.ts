import { isMasked, limitWords, mapChildren, near, phrase, print, and, word, type Expr } from '../../query'
import { listed, plural } from '../../base'
import { singular } from '../run/as-typed'
import { termExpression, type PlanTerm } from '../draft/draft'
import { placeTerm } from '../draft/plan-against-run'
import { toRanges } from '../lines/references'
import { joiningLines, onHeadings, perConcept, type Step, type StepLine, type StepMaker } from './step'

/** One concept less in the line that joins them. */
export const dropConcept: StepMaker = ({ lines, concepts }) =>
  joiningLines(lines).flatMap(({ number, parts }) =>
    parts.flatMap((part): Step[] => {
      const concept = concepts.find((c) => c.id === lines[part - 1]?.conceptId)
      if (!concept) return []
      const rest = parts.filter((n) => n !== part)
      const text =
        rest.length === 1 ? `#${rest[0]}` : print({ kind: 'lines', mode: 'all', ranges: toRanges(rest) })
      return [
        {
          code: 'drop-concept',
          direction: 'more',
          label: `do not ask for ${concept.letter}, ${concept.name}`,
          why: 'A concept that authors leave unsaid loses good records; what it kept out is read in selection instead.',
          conceptId: concept.id,
          lines: lines.map((l, i) => (i === number - 1 ? { ...l, text } : l)),
        },
      ]
    }),
  )

const everywhere = (e: Expr): Expr =>
  e.kind === 'fields' &&
  e.fields.some((f) => f === 'text' || f === 'title' || f === 'abstract' || f === 'keywords')
    ? e.of
    : mapChildren(e, everywhere)

/** Words in every field that the source searches when none is named. */
export const allFields: StepMaker = (c) =>
  perConcept(c, everywhere, {
    code: 'all-fields',
    direction: 'more',
    label: 'words of {c} in all fields',
    why: 'The source searches more than title, abstract and keywords when no field is named.',
  })

const LEAST_STEM = 5
/** The word with any ending, its plural taken off first; undefined for short words and those with signs. */
const anyEnding = (text: string): string | undefined => {
  if (isMasked(text) || text.length < LEAST_STEM || /\d/.test(text)) return undefined
  const stem = singular(text.toLowerCase())
  return `${stem.length >= LEAST_STEM && stem.endsWith('e') ? stem.slice(0, -1) : stem}*`
}
const truncated = (e: Expr): Expr => {
  if (e.kind === 'word') {
    const text = anyEnding(e.text)
    return text ? word(text) : e
  }
  if (e.kind === 'phrase') {
    const last = e.words[e.words.length - 1]!
    const text = anyEnding(last)
    return text ? phrase(...e.words.slice(0, -1), text) : e
  }
  return mapChildren(e, truncated)
}

/** Words with any ending, and phrases with any ending of their last word. */
export const truncate: StepMaker = (c) =>
  c.profile.truncation.any
    ? perConcept(c, truncated, {
        code: 'truncate',
        direction: 'more',
        label: 'words of {c} with any ending',
        why: 'Plurals and other forms are found; look at what each stem matches under Terms.',
      })
    : []

/** Phrases as words near each other, or AND where the source has no nearness. */
export const loosenPhrases: StepMaker = (c) => {
  const { nearness } = c.profile
  const distance = Math.min(3, nearness?.most ?? 3)
  const loose = (e: Expr): Expr => {
    if (e.kind === 'near')
      return nearness?.either
        ? { ...e, distance: Math.min(e.distance * 2 + 1, nearness.most), ordered: false }
        : e
    if (e.kind !== 'phrase' || e.words.length !== 2) return mapChildren(e, loose)
    const [a, b] = e.words.map((w) => word(w))
    return nearness?.either ? near(distance, a!, b!) : and(a!, b!)
  }
  return perConcept(c, loose, {
    code: 'loosen',
    direction: 'more',
    label: nearness?.either
      ? `phrases of {c} as words within ${distance} of each other`
      : 'phrases of {c} as words joined with AND',
    why: 'Authors turn phrases round and put words between.',
  })
}

/** Headings with everything below them. */
export const withNarrower: StepMaker = (c) =>
  perConcept(
    c,
    onHeadings((h) => ({ ...h, below: true })),
    {
      code: 'with-narrower',
      direction: 'more',
      label: 'headings of {c} with narrower ones',
      why: 'Records are indexed as narrowly as they can be: the broader heading alone misses them.',
    },
  )

/** Headings wherever they are given, not as main focus only. */
export const anyFocus: StepMaker = (c) =>
  perConcept(
    c,
    onHeadings((h) => ({ ...h, main: false })),
    {
      code: 'any-focus',
      direction: 'more',
      label: 'headings of {c} not as main focus only',
      why: 'Records that touch on it count too.',
    },
  )

/** What good records say and the plan does not, one at a time. */
export const harvested: StepMaker = (c) =>
  c.offers.flatMap((offer): Step[] => {
    const concept = c.concepts.find((k) => k.id === offer.conceptId)
    const term: PlanTerm = {
      conceptId: offer.conceptId,
      sourceId: '',
      kind: offer.kind,
      expression: offer.text,
      withNarrower: false,
      mainFocus: false,
      status: 'in use',
    }
    const after = concept && withTerms(c.lines, [term])
    if (!after) return []
    return [
      {
        code: 'harvested',
        direction: 'more',
        label: `add ${offer.kind === 'heading' ? `the heading ${offer.text}` : offer.text} to ${concept.letter}`,
        why: 'Known items and records ruled in have it more often than others.',
        conceptId: offer.conceptId,
        lines: after,
      },
    ]
  })

/** Terms of the plan that no line has. */
export const plannedTerms: StepMaker = (c) =>
  c.concepts.flatMap((concept): Step[] => {
    const own = c.terms.filter((t) => t.conceptId === concept.id && !said(c.lines, t))
    const after = own.length ? withTerms(c.lines, own) : undefined
    if (!after) return []
    const some = own.slice(0, 3).map((t) => t.expression)
    return [
      {
        code: 'planned-terms',
        direction: 'more',
        label: `put ${own.length > 3 ? plural(own.length, 'planned term') : listed(some)} into the lines of ${concept.letter}`,
        why: 'They stand in the grid and in no line here.',
        conceptId: concept.id,
        lines: after,
      },
    ]
  })

/** Each limit taken off. */
export const dropLimit: StepMaker = ({ lines }) => {
  const kinds = new Set(lines.flatMap((l) => l.limits.map((x) => x.kind)))
  return [...kinds].map((kind): Step => {
    const limit = lines.flatMap((l) => l.limits).find((l) => l.kind === kind)!
    return {
      code: 'drop-limit',
      direction: 'more',
      label: `without the limit to ${limitWords(limit)}`,
      why: 'The reason for the limit has to be stronger than what it costs.',
      lines: lines.map((l) =>
        l.limits.some((x) => x.kind === kind) ? { ...l, limits: l.limits.filter((x) => x.kind !== kind) } : l,
      ),
    }
  })
}

/** The lines with terms joined to the lines of their concepts by OR; undefined where none has a place. */
function withTerms(lines: readonly StepLine[], terms: readonly PlanTerm[]): StepLine[] | undefined {
  let after = [...lines]
  let changed = false
  for (const term of terms) {
    const place = placeTerm(term, after)
    if (!place) continue
    changed = true
    after = after.map((l) => (l.id === place.lineId ? { ...l, text: place.text } : l))
  }
  return changed ? after : undefined
}

/** Does some line say this term? By its text, whatever the field. */
function said(lines: readonly StepLine[], term: PlanTerm): boolean {
  const e = termExpression(term)
  if (!e) return true
  const text = print(e).toLowerCase()
  return lines.some((l) => l.text.toLowerCase().includes(text.replace(/^heading[.a-z]*: /, '')))
}

/** What remarks offer that bring or save records: the same changes, among all that could be tried. */
export const remarked: StepMaker = ({ remarks = [], lines }) =>
  remarks.flatMap(({ code, why, conceptId, fixes, gain }) =>
    fixes.slice(0, 1).map((fix): Step => ({
      code,
      direction: (gain?.hits ?? 0) < 0 ? 'fewer' : 'more',
      label: `${fix.label.charAt(0).toLowerCase()}${fix.label.slice(1)}, in line ${lines.findIndex((l) => l.id === fix.lineId) + 1}`,
      why,
      conceptId,
      lines: lines.map((l) =>
        l.id === fix.lineId ? { ...l, text: fix.text, limits: fix.limits ?? l.limits } : l,
      ),
    })),
  )
