import { listed } from '../../../base'
import type { LimitValue } from '../../../query'
import { verbatim } from '../../document'
import type { FoundOf } from '../../sayings'
import { limitNoun } from '../../words'
import { afterwards, because, commaBecause } from './reason'
import { databases } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Limits = FoundOf<'limits-kept'>
type Reasoned = Limits['limits'][number]

const withoutReasons = (found: Limits): Limits => ({
  ...found,
  limits: found.limits.map((l) => ({ ...l, reason: '' })),
})

/** What searches were limited to: without reasons in one phrase, else each with its own. */
const what = (limits: readonly Reasoned[]): string =>
  limits.some((l) => because(l.reason))
    ? limits.map((l) => `${subject(l)}, ${because(l.reason)}`).join(', and to ')
    : together(limits)
const reasonsAfter = (limits: readonly Reasoned[]): string => limits.map((l) => afterwards(l.reason)).join('')

/** The same told of the searches of which it is known here what they asked. */
const ofKnown = (lost: boolean, sentences: string[]): string[] =>
  lost ? sentences.map((s) => KNOWN.reduce((words, [all, known]) => words.replace(all, known), s)) : sentences
const KNOWN: readonly (readonly [RegExp, string])[] = [
  [/^(We|I) limited the database searches/, '$1 limited the searches known here'],
  [/^The database searches were/, 'The searches known here were'],
  [/^In the databases, searches were/, 'As far as they are known here, searches were'],
  [/; no search was/, '; no search known here was'],
  [/^Planned, but set in no search,/, 'Planned, but set in no search known here,'],
  [/; the other searches were/, '; the other searches known here were'],
  [/; the others were/, '; the others known here were'],
  [/^Only in /, 'Of the searches known here, only in '],
  [/^Only the searches in /, 'Of the searches known here, only those in '],
]

const also = (limits: readonly Reasoned[], verb: string): string[] => [
  `They ${limits.map((l) => `${verb} limited to ${subject(l)}, ${because(l.reason)}`).join('; they ')}.`,
]

const kept: Words<Limits>['says'] = (found, say) => {
  const { limits } = found
  if (found.also) return also(limits, 'were also')
  const all = (begin: string): string => `${begin} ${what(limits)}.${reasonsAfter(limits)}`
  return ofKnown(
    found.lost,
    say(
      [all('We limited the database searches to'), all('The database searches were limited to')],
      [all('The database searches were limited to'), all('In the databases, searches were limited to')],
    ),
  )
}

export const limitsKept: Words<Limits> = {
  says: kept,
  short: (found, say, context) =>
    kept(withoutReasons(found), say, context).map((s) =>
      found.partly ? s.replace(/\.$/, ', where they allow it.') : s,
    ),
}

const planned: Words<Limits>['says'] = ({ limits, also: more }, say) => {
  if (more) return also(limits, 'will also be')
  const all = (begin: string): string => `${begin} ${what(limits)}.${reasonsAfter(limits)}`
  return say(
    [all('We plan to limit the database searches to'), all('The database searches are to be limited to')],
    [
      all('The database searches are to be limited to'),
      all('In the databases, searches are to be limited to'),
    ],
  )
}

export const limitsPlanned: Words<Limits> = {
  says: planned,
  short: (found, say, context) => planned(withoutReasons(found), say, context),
}

const droppedOf: Words<Limits>['says'] = ({ limits, lost }) =>
  ofKnown(lost, [
    `A limit to ${listed(limits.map(subject))} was planned${limits.length === 1 ? commaBecause(limits[0]!.reason) : ''}; no search was limited so.`,
    `Planned, but set in no search, was a limit to ${listed(limits.map(subject))}.`,
  ])

export const limitsDropped: Words<Limits> = {
  says: droppedOf,
  short: (found, say, context) => droppedOf(withoutReasons(found), say, context),
}

const inSome: Words<FoundOf<'limit-in-some'>>['says'] = ({ limit, sourceIds, lost }, say) => {
  const why = commaBecause(limit.reason)
  return ofKnown(
    lost,
    say(
      [
        `In ${databases(sourceIds)} we kept to ${subject(limit)}${why}; the other searches were not limited so.`,
        `Only in ${databases(sourceIds)} did we keep to ${subject(limit)}${why}.`,
      ],
      [
        `In ${databases(sourceIds)} the searches kept to ${subject(limit)}${why}; the others were not limited so.`,
        `Only the searches in ${databases(sourceIds)} kept to ${subject(limit)}${why}.`,
      ],
    ),
  )
}

export const limitInSome: Words<FoundOf<'limit-in-some'>> = {
  says: inSome,
  short: (found, say, context) => inSome({ ...found, limit: { ...found.limit, reason: '' } }, say, context),
}

export const noLimit: Words<FoundOf<'no-limit'>> = {
  says: ({ lacking }) => {
    const said = lacking
      .map((l) => `${databases(l.sourceIds)} cannot limit by ${listed(l.kinds.map(limitNoun), 'or')}`)
      .join('; ')
    return [`${said}.`, `As to limits, ${said}.`]
  },
}

const article = (by: string): string => (/^(?:an?|the) /i.test(by) ? '' : 'the ')

export const stoodIn: Words<FoundOf<'stood-in'>> = {
  says: ({ kind, by }) => {
    const said = by.map((b) => `in ${databases(b.sourceIds)} ${article(b.by)}${verbatim(b.by)}`).join('; ')
    const where =
      kind === 'peer reviewed'
        ? 'here peer review is not marked'
        : `here there is no limit by ${limitNoun(kind)}`
    return [
      `W${where}, something else stood in for it: ${said}.`,
      `Something else stood in w${where}: ${said}.`,
    ]
  },
}

/** Limits without reasons in one phrase: "peer-reviewed work published from 2017 to 2026 in English". */
function together(limits: readonly Reasoned[]): string {
  const of = (kind: LimitValue['kind']): Reasoned | undefined => limits.find((l) => l.limit.kind === kind)
  const kinds = new Set(limits.map((l) => l.limit.kind))
  const known = ['years', 'language', 'peer reviewed', 'open access'] as const
  if (kinds.size < limits.length || [...kinds].some((k) => !known.includes(k as never)))
    return listed(limits.map(subject))
  const [years, language] = [of('years'), of('language')]
  const before = [
    ...(of('peer reviewed') ? ['peer-reviewed'] : []),
    ...(of('open access') ? ['open-access'] : []),
  ].join(', ')
  return [
    ...(before ? [before] : []),
    'work',
    ...(years ? [`published ${fact('limit', years.limitId)}`] : []),
    ...(language ? [`in ${fact('limit', language.limitId)}`] : []),
  ].join(' ')
}

function subject({ limitId: id, limit }: Reasoned): string {
  switch (limit.kind) {
    case 'years':
      return `work published ${fact('limit', id)}`
    case 'language':
      return `work in ${fact('limit', id)}`
    case 'peer reviewed':
      return `peer-reviewed work`
    case 'open access':
      return `open-access work`
    case 'document type':
      return `the document types ${fact('limit', id)}`
    case 'place':
      return `work on ${fact('limit', id)}`
    case 'population':
      return `work on the population ${fact('limit', id)}`
    case 'other':
      return `what the limit “${fact('limit', id)}” lets through`
  }
}
