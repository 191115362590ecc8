import { limitAs } from '../../profile'
import {
  TEXT_FIELDS,
  limitWords,
  mapChildren,
  near,
  or,
  inFields,
  print,
  type Expr,
  type Field,
  type LimitValue,
} from '../../query'
import { limitsThatCount } from '../limits/ledger'
import { finalNumber } from '../lines/keys'
import { toRanges } from '../lines/references'
import {
  appended,
  joiningLines,
  onHeadings,
  perConcept,
  treeOf,
  type Step,
  type StepContext,
  type StepMaker,
} from './step'

const TEXT: readonly Field[] = ['text', 'any', ...TEXT_FIELDS]
const WITHIN = 8

/** Words of one concept in the title only: from thousands to hundreds is normal (common practice). */
export const titleOnly: StepMaker = (c) =>
  perConcept(c, inTitle, {
    code: 'title-only',
    direction: 'fewer',
    label: 'words of {c} in the title only',
    why: 'What a work is about stands in its title; headings stay as they are.',
  })

const inTitle = (e: Expr): Expr => {
  if (e.kind === 'fields') return e.fields.some((f) => TEXT.includes(f)) ? { ...e, fields: ['title'] } : e
  if (e.kind === 'word' || e.kind === 'phrase') return inFields(['title'], e)
  return mapChildren(e, inTitle)
}

/** Nearness in the place of AND between two concepts that have words. */
export const nearInstead: StepMaker = (context) => {
  const { lines, concepts, profile } = context
  if (!profile.nearness?.either) return []
  const distance = Math.min(WITHIN, profile.nearness.most)
  return joiningLines(lines).flatMap(({ number, parts }): Step[] => {
    if (parts.length !== 2) return []
    const ids = parts.map((n) => lines[n - 1]?.conceptId)
    const [a, b] = ids.map((id) => concepts.find((c) => c.id === id))
    const [left, right] = ids.map((id) => (id ? wordsOf(context, id) : undefined))
    if (!a || !b || !left || !right) return []
    const text = print(inFields(['text'], near(distance, left, right)))
    return [
      {
        code: 'near-instead',
        direction: 'fewer',
        label: `${a.letter} and ${b.letter} within ${distance} words of each other`,
        why: 'Words that stand near each other are about each other; headings do not count then.',
        lines: lines.map((l, i) => (i === number - 1 ? { ...l, text } : l)),
      },
    ]
  })
}

/** All text words of a concept as one group that nearness can join; undefined where there are none, or other than words. */
function wordsOf({ lines }: StepContext, conceptId: string): Expr | undefined {
  const groups = lines.flatMap((line) => {
    if (line.conceptId !== conceptId) return []
    const tree = treeOf(line)
    return tree?.kind === 'fields' ? plainWords(tree.of) : []
  })
  return groups.length ? or(...groups) : undefined
}

const plainWords = (e: Expr): Expr[] =>
  e.kind === 'or' ? e.parts.flatMap(plainWords) : e.kind === 'word' || e.kind === 'phrase' ? [e] : []

/** A concept that was left optional, asked for after all. */
export const askOptional: StepMaker = ({ lines, concepts }) =>
  joiningLines(lines).flatMap(({ number, parts }) =>
    concepts.flatMap((c): Step[] => {
      const block = lines.findLastIndex((l) => l.conceptId === c.id) + 1
      if (!block || block > number || parts.some((n) => lines[n - 1]?.conceptId === c.id)) return []
      const all = [...parts, block].sort((x, y) => x - y)
      const text = print({ kind: 'lines', mode: 'all', ranges: toRanges(all) })
      return [
        {
          code: 'ask-optional',
          direction: 'fewer',
          label: `ask for ${c.letter}, ${c.name}, as well`,
          why: 'Authors often leave it unsaid: look at the known items before you keep it.',
          conceptId: c.id,
          lines: lines.map((l, i) => (i === number - 1 ? { ...l, text } : l)),
        },
      ]
    }),
  )

/** Headings as main focus only, where the source has that. */
export const mainFocus: StepMaker = (c) =>
  c.profile.headings?.main
    ? perConcept(
        c,
        onHeadings((h) => ({ ...h, main: true })),
        {
          code: 'main-focus',
          direction: 'fewer',
          label: 'headings of {c} as main focus only',
          why: 'Records that only touch on it fall away.',
        },
      )
    : []

/** Headings alone, without what is below them. */
export const withoutNarrower: StepMaker = (c) =>
  perConcept(
    c,
    onHeadings((h) => ({ ...h, below: false })),
    {
      code: 'without-narrower',
      direction: 'fewer',
      label: 'headings of {c} without narrower ones',
      why: 'Only what is indexed with the very heading is left.',
    },
  )

/** A planned limit that does not hold for the last line yet. */
export const plannedLimit: StepMaker = ({ lines, limits, profile }) => {
  const last = finalNumber(lines)
  if (!last) return []
  const force = limitsThatCount(lines)
  return limits.flatMap((limit): Step[] =>
    force.some((l) => l.kind === limit.kind) || !limitAs(limit, profile)
      ? []
      : [
          {
            code: 'planned-limit',
            direction: 'fewer',
            label: `apply the planned limit: ${limitWords(limit)}`,
            why: 'It is in the plan and does not hold for the last line.',
            lines: appended(lines, `#${last}`, [limit]),
          },
        ],
  )
}

/** The later half of the years that are asked for. */
export const laterYears: StepMaker = ({ lines, profile }) => {
  const last = finalNumber(lines)
  if (!last || !profile.limits.years) return []
  const force = limitsThatCount(lines)
  const years = force.find((l): l is Extract<LimitValue, { kind: 'years' }> => l.kind === 'years')
  if (years?.from === undefined || years.to === undefined || years.to - years.from < 3) return []
  const from = Math.ceil((years.from + years.to) / 2)
  return [
    {
      code: 'later-years',
      direction: 'fewer',
      label: `only the years ${limitWords({ kind: 'years', from, to: years.to })}`,
      why: 'The later half of the years asked for; needs a reason in the methods section.',
      lines: appended(lines, `#${last}`, [{ kind: 'years', from, to: years.to }]),
    },
  ]
}
