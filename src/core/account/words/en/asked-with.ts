import { listed } from '../../../base'
import type { FoundOf } from '../../sayings'
import { concept, databases, were } from './speaker'
import type { Words } from './words'
import { fact } from './fact'

type Way = FoundOf<'asked-with'>['way']
type Within = Extract<Way['join'], object>['within']

/** "for each concept" where all that were asked for have it, else their names. */
const forWhich = (ids: readonly string[], asked: readonly string[]): string =>
  ids.length && asked.length && ids.length !== asked.length ? ` for ${listed(ids.map(concept))}` : ''

const BELOW = {
  all: ' (with their narrower ones)',
  some: ' (some with, some without their narrower ones)',
  none: '',
}

/** What the lines of a source were made of. */
const partsOf = (w: Way): string =>
  listed([
    ...(w.headings
      ? [`headings of the thesaurus${BELOW[w.narrower ?? 'none']}${forWhich(w.headingConcepts, w.asked)}`]
      : []),
    ...(w.codes ? ['codes of the classification'] : []),
    ...(w.words
      ? [`words in ${fact('words.fields', w.sourceIds[0])}${forWhich(w.wordConcepts, w.asked)}`]
      : []),
  ])

/** How the parts were joined, behind what they are. */
function joinWords(join: Way['join'], verb = ''): string {
  if (!join) return ''
  if (join === 'other') return ', joined line by line as Appendix B has it'
  const single = join.groups.every((g) => g.length === 1)
  const groups = join.groups.map((g) => (g.length > 1 ? `(${listed(g.map(concept), 'or')})` : concept(g[0]!)))
  return `, and ${single ? 'the concepts' : listed(groups)} then ${verb}with AND`
}

/** What was done with the parts of each concept, and then with the concepts. */
const DID: Record<Within, (join: Way['join']) => string> = {
  or: (join) => `were joined with OR${joinWords(join)}`,
  nothing: (join) => `were used${joinWords(join, 'joined ')}`,
  otherwise: (join) => `were combined as Appendix B has it${joinWords(join)}`,
}

const withAll: Words<FoundOf<'asked-with'>>['says'] = ({ way, all }) => {
  const { join } = way
  const of = partsOf(way)
  const blocks = typeof join === 'object'
  const where = all ? '' : databases(way.sourceIds)
  const each = blocks ? 'for each concept, ' : ''
  const did = blocks ? DID[join.within](join) : `were used${joinWords(join)}`
  const first = where
    ? `In ${where}, ${each}${of} ${did}`
    : blocks
      ? `For each concept, ${of} ${did}`
      : `The searches used ${of}${joinWords(join)}`
  return [`${first}.`, `Lines ${where ? `in ${where} ` : ''}were built so: ${each}${of} ${did}.`]
}

export const askedWith: Words<FoundOf<'asked-with'>> = {
  says: withAll,
  short: (found, say, context) =>
    withAll({ ...found, way: { ...found.way, narrower: undefined } }, say, context),
}

/** The verb stands once. */
export const askedOtherwise: Words<FoundOf<'asked-otherwise'>> = {
  says: ({ rule, ways }) => {
    const told = ways.map((way, n) => {
      const alone = way.words && !way.headings && !way.codes && (rule.headings || rule.codes)
      const how = alone
        ? `with words alone, in ${fact('words.fields', way.sourceIds[0])}${forWhich(way.wordConcepts, way.asked)}`
        : `with ${partsOf(way)}`
      const joined =
        JSON.stringify(way.join) === JSON.stringify(rule.join) ? '' : joinedOtherwise(way.join, rule.join)
      return `${databases(way.sourceIds)} ${n ? '' : `${were(way.sourceIds.length)} asked `}${how}${joined}`
    })
    return [`${told.join('; ')}.`, `As exceptions, ${told.join('; ')}.`]
  },
}

/** How the parts were joined where it was not as in most databases. */
function joinedOtherwise(join: Way['join'], rule: Way['join']): string {
  const within = (of: Way['join']): Within | undefined => (typeof of === 'object' ? of.within : undefined)
  const or = within(join) === 'or' && within(rule) === 'nothing' ? ' joined with OR' : ''
  return `${or}${joinWords(join) || ', in one line'}`
}
