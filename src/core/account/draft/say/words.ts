import { listed } from '../../../base'
import type { LimitValue } from '../../../query'
import { verbatim } from '../../document'
import { limitNoun } from '../../words'
import type { Alike, GroupedOf, ReasonedLimit, Way } from '../grouped'
import { afterwards, are, because, commaBecause, concept, database, were, type Say } from './speaker'

const names = (ids: readonly string[], word?: string): string => listed(ids.map(database), word)

/** The concepts, how lines were built, the terms, the known items and the limits. */
export const WORDS = {
  broken: ({ alternatives }: GroupedOf<'broken'>, say: Say) => {
    const one = alternatives.map((ids) => ` Of ${listed(ids.map(concept))}, one was enough.`).join('')
    return say(
      [
        `We divided the question into {concept.names}.${one}`,
        `Its question was divided into {concept.names}.${one}`,
      ],
      [`The question was divided into {concept.names}.${one}`, `It was divided into {concept.names}.${one}`],
    )
  },
  'not required': ({ conceptIds, reason }: GroupedOf<'not required'>, say: Say) => {
    const ids = listed(conceptIds.map(concept))
    const why = commaBecause(reason)
    const own = afterwards(reason)
    return say(
      [
        `We did not require ${ids} in the searches${why}.${own}`,
        `The searches did not require ${ids}${why}.${own}`,
      ],
      [
        `The searches did not require ${ids}${why}.${own}`,
        `Not required in the searches ${were(conceptIds.length)} ${ids}${why}.${own}`,
      ],
    )
  },
  ways: ({ ways, all }: GroupedOf<'ways'>) => {
    const [first, ...others] = ways
    const { sourceIds: ids, what } = first!
    const everywhere = all && ways.length === 1
    const exceptions = others.length ? ` ${others.map((w, n) => exception(w, n, what)).join('; ')}.` : ''
    const there = everywhere ? '' : `In ${names(ids)}, `
    const of = partsOf(what, ids[0]!)
    const join = joinWords(what.join)
    const [each, Each] =
      what.join?.kind === 'blocks' ? ['for each concept, ', 'For each concept, '] : ['', '']
    const did = what.join?.kind === 'blocks' ? 'were joined with OR' : 'were used'
    const begin = there ? `${there}${each}${of}` : Each ? `${Each}${of}` : `The searches used ${of}`
    return [
      `${begin}${there || Each ? ` ${did}` : ''}${join}.${exceptions}`,
      `Lines ${there ? `in ${names(ids)} ` : ''}were built so: ${each}${of} ${did}${join}.${exceptions}`,
    ]
  },
  'no nearness': ({ sourceIds: ids }: GroupedOf<'no nearness'>) => [
    `${names(ids)} ${ids.length === 1 ? 'knows' : 'know'} no nearness; AND stood in its place there.`,
    `Where nearness is not known (${names(ids)}), AND stood in its place.`,
  ],
  'taken over': ({ what, name, changed, sourceIds }: GroupedOf<'taken over'>) => {
    const how = changed ? `, changed in this: ${verbatim(changed)}` : ', unchanged'
    const where = names(sourceIds)
    return [
      `In ${where}, ${what === 'filter' ? 'a filter' : 'an earlier strategy'} was taken over: ${verbatim(name)}${how}.`,
      `Taken over in ${where} was ${what === 'filter' ? 'a filter' : 'an earlier strategy'}: ${verbatim(name)}${how}.`,
    ]
  },
  'left out': ({ sourceIds: ids }: GroupedOf<'left out'>, say: Say) => {
    const what = listed(ids.map((id) => `records that match {words.leftOut:${id}} in ${database(id)}`))
    return say(
      [`We left out, with NOT, ${what}.`, `With NOT we left out ${what}.`],
      [`With NOT, ${what} were left out.`, `Left out with NOT were ${what}.`],
    )
  },
  'without query': ({ sourceId, lineId, deed }: GroupedOf<'without query'>, say: Say) => {
    const done = verbatim(deed.trim().replace(/\.$/, ''))
    const gave = `{hits.line:${sourceId}/${lineId}}`
    const when = `{line.day:${sourceId}/${lineId}}`
    return say(
      [
        `Without a query we ${done} (${when}); this gave ${gave}.`,
        `In ${database(sourceId)} we ${done}, without a query (${when}); this gave ${gave}.`,
      ],
      [
        `Without a query, this was done (${when}): ${done}; it gave ${gave}.`,
        `In ${database(sourceId)} this was done without a query (${when}): ${done}; it gave ${gave}.`,
      ],
    )
  },
  terms: ({ count, byYield, appendix, few }: GroupedOf<'terms'>) => {
    const listedIn = appendix
      ? count > MOST_TERMS
        ? '; all {terms.count} are listed in Appendix A, and the strategies as they were run, line by line, in Appendix B'
        : '; Appendix A has them by concept, and Appendix B the strategies as they were run, line by line'
      : count > MOST_TERMS
        ? '; {terms.count} are gathered so far'
        : ''
    const which =
      byYield && count > MOST_TERMS
        ? 'The words held by the most works, in title, abstract or keywords, are'
        : count > MOST_TERMS
          ? 'Among the words are'
          : 'The terms are'
    if (few && count > MOST_TERMS)
      return appendix
        ? ['The supplement has all {terms.count} and the strategies.']
        : ['Among the words are {terms.few}.']
    return [
      `${which} {terms.most}${listedIn}.`,
      `As terms ${appendix ? 'were taken' : 'serve'}${count > MOST_TERMS ? ', among others,' : ''} {terms.most}${listedIn}.`,
    ]
  },
  'no heading': ({ gaps }: GroupedOf<'no heading'>) => {
    const said = gaps.map(
      ({ gapId, sourceId }) => `${database(sourceId)} has no heading for {gap.about:${gapId}}`,
    )
    const there =
      gaps.length === 1 ? 'there, words alone had to find it' : 'there, words alone had to find these'
    return [
      `${listed(said)}; ${there}.`,
      `As ${listed(said)}, words alone had to find ${gaps.length === 1 ? 'it' : 'these'} there.`,
    ]
  },
  dropped: ({ count, reasoned }: GroupedOf<'dropped'>, say: Say) => {
    const kept = reasoned ? '; Appendix A says why' : ''
    return say(
      [
        `We tried and dropped {terms.tried} more${kept}.`,
        `Another {terms.tried} ${were(count)} tried and dropped${kept}.`,
      ],
      [
        `Another {terms.tried} ${were(count)} tried and dropped${kept}.`,
        `Tried and dropped ${were(count)} {terms.tried} more${kept}.`,
      ],
    )
  },
  known: ({ when, count, found }: GroupedOf<'known'>) => {
    const are = count === 1 ? 'was' : 'were'
    const result = found ? foundWords(found, when === 'later') : ''
    switch (when) {
      case 'before':
        return [
          `{^known.before} that ${are} named before searching served as a test${result}.`,
          `As a test served {known.before} that ${are} named before searching${result}.`,
        ]
      case 'any':
        return [
          `{^known} ${are} named to test the searches${result}.`,
          `To test the searches, {known} ${are} named${result}.`,
        ]
      case 'later':
        return [
          `Another {known.later} ${are} added later${result}.`,
          `Later, another {known.later} ${are} added${result}.`,
        ]
      case 'while':
        return [
          `{^known} that ${are} named while searching served as a test${result}.`,
          `As a test served {known} that ${are} named while searching${result}.`,
        ]
    }
  },
  found: ({ found, of, outside }: GroupedOf<'found'>) => {
    const why = missedWords({ found, of, outside })
    if (of === 1)
      return [
        `The one known item was ${found ? '' : 'not '}among them${why}.`,
        `Among them the one known item was ${found ? 'found' : 'not found'}${why}.`,
      ]
    if (found === of) return ['All known items were among them.', 'Among them were all known items.']
    if (!found)
      return [
        `None of the known items was among them${why}.`,
        `Among them was none of the known items${why}.`,
      ]
    return [
      `Of the known items, {known.found} ${were(found)} among them${why}.`,
      `Among them ${were(found)} {known.found} of the known items${why}.`,
    ]
  },
  limits: ({ limits, how, partly }: GroupedOf<'limits'>, say: Say) => {
    if (how === 'dropped')
      return [
        `A limit to ${listed(limits.map(subject))} was planned${limits.length === 1 ? commaBecause(limits[0]!.reason) : ''}; no search was limited so.`,
        `Planned, but set in no search, was a limit to ${listed(limits.map(subject))}.`,
      ]
    const own = limits.map((l) => afterwards(l.reason)).join('')
    const bare = limits.filter((l) => !because(l.reason))
    const reasoned = limits.filter((l) => because(l.reason))
    // With reasons, two limits are enough for a sentence.
    const head = bare.length ? bare : reasoned.slice(0, 2)
    const tail = bare.length ? reasoned : reasoned.slice(2)
    const first = bare.length
      ? together(bare)
      : head.map((l) => `${subject(l)}, ${because(l.reason)}`).join(', and to ')
    const more = tail.length
      ? ` ${tail
          .map(
            (l, n) =>
              `${n ? 'they' : 'They'} ${how === 'kept' ? 'were also' : 'will also be'} limited to ${subject(l)}, ${because(l.reason)}`,
          )
          .join('; ')}.`
      : ''
    const where = partly ? ', where they allow it' : ''
    const all = (verb: string): string => `${verb} ${first}${where}.${more}${own}`
    return how === 'kept'
      ? say(
          [all('We limited the database searches to'), all('The database searches were limited to')],
          [all('The database searches were limited to'), all('In the databases, searches were limited to')],
        )
      : say(
          [
            all('We plan to limit the database searches to'),
            all('The database searches are to be limited to'),
          ],
          [
            all('The database searches are to be limited to'),
            all('In the databases, searches are to be limited to'),
          ],
        )
  },
  'limit in some': ({ limit, sourceIds }: GroupedOf<'limit in some'>, say: Say) => {
    const what = subject(limit)
    const why = commaBecause(limit.reason)
    return say(
      [
        `In ${names(sourceIds)} we kept to ${what}${why}; the other searches were not limited so.`,
        `Only in ${names(sourceIds)} did we keep to ${what}${why}.`,
      ],
      [
        `In ${names(sourceIds)} the searches kept to ${what}${why}; the others were not limited so.`,
        `Only the searches in ${names(sourceIds)} kept to ${what}${why}.`,
      ],
    )
  },
  'no limit': ({ kinds }: GroupedOf<'no limit'>) => {
    const said = kinds.map(
      (k) => `${names(k.sourceIds)} cannot limit by ${listed(k.what.map(limitNoun), 'or')}`,
    )
    return [`${said.join('; ')}.`, `As to limits, ${said.join('; ')}.`]
  },
  'stood in': ({ kind, by }: GroupedOf<'stood in'>) => {
    const said = by.map((b) => `in ${names(b.sourceIds)} ${article(b.what)}${verbatim(b.what)}`).join('; ')
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

/** More in running text, and the rest stands in an appendix. */
const MOST_TERMS = 12

const article = (by: string): string => (/^(?:an?|the) /i.test(by) ? '' : 'the ')

interface Found {
  found: number
  of: number
  outside: number
}

/** Why known items were not found, as far as their own years tell; empty where these tell nothing. */
function missedWords({ found, of, outside }: Found): string {
  if (!outside) return ''
  const missed = of - found - outside
  const years = `from ${outside === 1 ? 'a year' : 'years'} that the limits leave out`
  if (of === 1) return `; it is ${years}`
  if (!missed) {
    const others = !found ? 'all' : outside === 1 ? 'the other one' : 'the other {known.outside}'
    return `, and ${others} ${are(outside)} ${years}`
  }
  return `, {known.outside} ${are(outside)} ${years}, and {known.missed} ${were(missed)} not found`
}

/** Behind how many were named: how many were found. `all`: of those too that were named before. */
function foundWords({ found, of, outside }: Found, all: boolean): string {
  const why = missedWords({ found, of, outside })
  const among = 'among the records brought in'
  if (of === 1) return `; it is ${found ? '' : 'not '}${among}${why}`
  const them = all ? 'taken together, ' : ''
  const of_ = all ? '' : ' of them'
  if (!found) return `; ${them}none${of_} is ${among}${why}`
  if (found === of) return `; ${all ? 'all known items' : 'all of them'} are ${among}`
  return `; ${them}{known.found}${of_} ${found === 1 ? 'is' : 'are'} ${among}${why}`
}

/** "for each concept" where all that were asked for have it, else their names. */
function forWhich(ids: readonly string[], asked: readonly string[]): string {
  if (!ids.length || !asked.length) return ''
  return ids.length === asked.length ? '' : ` for ${listed(ids.map(concept))}`
}

const BELOW = {
  all: ' (with their narrower ones)',
  some: ' (some with, some without their narrower ones)',
  none: '',
}

/** What the lines of a source were made of. */
const partsOf = (w: Way, sourceId: string): string =>
  listed([
    ...(w.headings
      ? [`headings of the thesaurus${BELOW[w.narrower ?? 'none']}${forWhich(w.headingConcepts, w.asked)}`]
      : []),
    ...(w.codes ? ['codes of the classification'] : []),
    ...(w.words ? [`words in {words.fields:${sourceId}}${forWhich(w.wordConcepts, w.asked)}`] : []),
  ])

/** How the parts were joined, behind what they are. */
function joinWords(join: Way['join']): string {
  if (!join) return ''
  if (join.kind === 'other') return ', joined line by line as Appendix B has it'
  const single = join.groups.every((g) => g.length === 1)
  const groups = join.groups.map((g) => (g.length > 1 ? `(${listed(g.map(concept), 'or')})` : concept(g[0]!)))
  return `, and ${single ? 'the concepts' : listed(groups)} then with AND`
}

/** How others were asked, as exceptions to the rule; the verb stands once. */
function exception({ sourceIds: ids, what }: Alike<Way>, n: number, rule: Way): string {
  const alone = what.words && !what.headings && !what.codes && (rule.headings || rule.codes)
  const how = alone
    ? `with words alone, in {words.fields:${ids[0]}}${forWhich(what.wordConcepts, what.asked)}`
    : `with ${partsOf(what, ids[0]!)}`
  const other = JSON.stringify(what.join) !== JSON.stringify(rule.join) && what.join?.kind === 'other'
  return `${names(ids)} ${n ? '' : `${were(ids.length)} asked `}${how}${other ? ', joined line by line as Appendix B has it' : ''}`
}

/** Limits without reasons in one phrase: "peer-reviewed work published from 2017 to 2026 in English". */
function together(limits: readonly ReasonedLimit[]): string {
  const of = (kind: LimitValue['kind']): ReasonedLimit | undefined =>
    limits.find((l) => l.limit.kind === kind)
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
    ...(years ? [`published {limit:${years.limitId}}`] : []),
    ...(language ? [`in {limit:${language.limitId}}`] : []),
  ].join(' ')
}

function subject({ limitId: id, limit }: ReasonedLimit): string {
  switch (limit.kind) {
    case 'years':
      return `work published {limit:${id}}`
    case 'language':
      return `work in {limit:${id}}`
    case 'peer reviewed':
      return `peer-reviewed work`
    case 'open access':
      return `open-access work`
    case 'document type':
      return `the document types {limit:${id}}`
    case 'place':
      return `work on {limit:${id}}`
    case 'population':
      return `work on the population {limit:${id}}`
    case 'other':
      return `what the limit “{limit:${id}}” lets through`
  }
}
