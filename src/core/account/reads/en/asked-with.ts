import { numberIn } from './number'

/** In which fields words were looked for, as they are listed; other lines elsewhere. */
export interface FieldsRead {
  most: string
  elsewhere: { lines: number[]; fields: string }[]
}

/** Of what lines were made, and how they were joined. */
export interface MadeOf {
  /** As they are listed; absent: of everything that was searched. */
  names?: string
  headings?: { narrower: 'all' | 'some' | 'untold'; of?: string }
  codes: boolean
  words?: { fields: FieldsRead; of?: string }
  /** How what stands for a concept was joined: with OR, not at all, otherwise; or it is not told by concepts. */
  eachConcept: 'OR' | 'used' | 'otherwise' | 'untold'
  /** Concepts joined with AND as they are listed, all of them, line by line, or not told. */
  join: { concepts: string } | 'the concepts' | 'by lines' | 'alone' | 'untold'
}

const HEADINGS =
  /^headings of the thesaurus(?: \((with|some with)[^)]*\))?(?: for (.+?))?(?=$|(?:, | and )(?:codes of|words in))/

function fieldsIn(words: string): FieldsRead {
  const [most = '', ...rest] = words.split(/; (?=in lines? \d)/)
  const elsewhere = rest
    .join('; ')
    .split(/(?:, | and )(?=in lines? \d)/)
    .filter(Boolean)
    .map((part) => {
      const m = /^in lines? ([\d, and]+?) in (.*)$/.exec(part)
      return {
        lines: (m?.[1] ?? '').split(/, | and /).map(Number),
        fields: m?.[2] ?? '?',
      }
    })
  return { most, elsewhere }
}

/** "headings of the thesaurus (with their narrower ones), codes of the classification and words in title for noise". */
function partsIn(list: string): Pick<MadeOf, 'headings' | 'codes' | 'words'> | undefined {
  const found: Pick<MadeOf, 'headings' | 'codes' | 'words'> = { codes: false }
  let rest = list
  const headings = HEADINGS.exec(rest)
  if (headings) {
    found.headings = {
      narrower: headings[1] === 'with' ? 'all' : headings[1] ? 'some' : 'untold',
      ...(headings[2] === undefined ? {} : { of: headings[2] }),
    }
    rest = rest.slice(headings[0].length).replace(/^(?:, | and )/, '')
  }
  if (rest.startsWith('codes of the classification')) {
    found.codes = true
    rest = rest.slice('codes of the classification'.length).replace(/^(?:, | and )/, '')
  }
  const words = /^words in (.+?)(?: for ([^()]+))?$/.exec(rest)
  if (words) {
    found.words = { fields: fieldsIn(words[1]!), ...(words[2] === undefined ? {} : { of: words[2] }) }
    rest = ''
  }
  return rest || (!found.headings && !found.codes && !found.words) ? undefined : found
}

const JOIN =
  /(?:, and (.+?) then (?:joined )?with AND|(, joined line by line as Appendix B has it)|(, in (?:one line|a line by itself)))?$/

function joinIn(words: string): { before: string; join: MadeOf['join'] } {
  const m = JOIN.exec(words)!
  const before = words.slice(0, words.length - m[0].length)
  if (m[1] !== undefined)
    return { before, join: m[1] === 'the concepts' ? 'the concepts' : { concepts: m[1] } }
  return { before, join: m[2] ? 'by lines' : m[3] ? 'alone' : 'untold' }
}

export function askedWith(sentence: string): MadeOf | undefined {
  const m =
    /^(?:In (.+?), (?=for each concept, |headings of|codes of|words in)|Lines in (.+?) were built so: |(Lines were built so: )|(?=For each concept, )|(The searches used ))(?:[Ff]or each concept, )?(.+)\.$/.exec(
      sentence,
    )
  if (!m) return undefined
  const { before, join } = joinIn(m[5]!)
  const did = / were (joined with OR|combined as Appendix B has it|used)$/.exec(before)
  if (!did && m[4] === undefined) return undefined
  const parts = partsIn(did ? before.slice(0, -did[0].length) : before)
  const names = m[1] ?? m[2]
  const byConcepts = /for each concept, /i.test(m[0])
  const how = did?.[1] ?? 'used'
  const eachConcept = !byConcepts
    ? 'untold'
    : how === 'used'
      ? 'used'
      : how === 'joined with OR'
        ? 'OR'
        : 'otherwise'
  if (!parts || byConcepts === (how === 'used' && !/ then joined with AND$/.test(m[5]!))) return undefined
  return { ...(names === undefined ? {} : { names }), ...parts, eachConcept, join }
}

/** How others were asked: joined as the rule has it where nothing is said of that. */
export function askedOtherwise(sentence: string): MadeOf[] | undefined {
  const said = /^(?:As exceptions, )?(.+? (?:was|were) asked with .+)\.$/.exec(sentence)?.[1]
  if (said === undefined) return undefined
  const all = said
    .replace(/ (?:was|were) asked with /, ' with ')
    .split(/; (?!in lines? \d)/)
    .map((part): MadeOf | undefined => {
      const m = /^(.+?) with (words alone, in .+|headings of .+|codes of .+|words in .+)$/.exec(part)
      if (!m) return undefined
      const { before, join } = joinIn(m[2]!)
      const or = / joined with OR$/.exec(before)
      const of = or ? before.slice(0, or.index) : before
      const parts = partsIn(of.replace(/^words alone, in /, 'words in '))
      return parts && { names: m[1]!, ...parts, eachConcept: or ? 'OR' : 'untold', join }
    })
  return all.every((w) => w !== undefined) ? all : undefined
}

export function noNearness(sentence: string): { names: string } | undefined {
  const m =
    /^(?:(.+) knows? no nearness; AND stood in its place there|Where nearness is not known \((.+)\), AND stood in its place)\.$/.exec(
      sentence,
    )
  const names = m?.[1] ?? m?.[2]
  return names ? { names } : undefined
}

/** What was left out, in which database. */
export function leftOut(sentence: string): { sources: { name: string; what: string }[] } | undefined {
  const m =
    /^(?:(?:We|I) left out, with NOT, (.+)|With NOT (?:we|I) left out (.+)|With NOT, (.+) were left out|Left out with NOT were (.+))\.$/.exec(
      sentence,
    )
  const list = m?.[1] ?? m?.[2] ?? m?.[3] ?? m?.[4]
  if (!list || list.includes('…')) return undefined
  const sources = list.split(/(?:, | and )(?=records that match )/).map((part) => {
    const one = /^records that match (.+) in (.+?)$/.exec(part)
    return { name: one?.[2] ?? '', what: one?.[1] ?? '' }
  })
  return sources.every((s) => s.name && s.what) ? { sources } : undefined
}

export interface WithoutQuery {
  /** Absent: it is not named. */
  name?: string
  deed: string
  day: string
  gave: number
}

export function withoutQuery(sentence: string): WithoutQuery | undefined {
  const a = /^Without a query (?:we|I) (.+?) \((on .+?)\); this gave ([\d,]+)\.$/.exec(sentence)
  const b = /^In (.+?) (?:we|I) (.+?), without a query \((on .+?)\); this gave ([\d,]+)\.$/.exec(sentence)
  const c = /^Without a query, this was done \((on .+?)\): (.+); it gave ([\d,]+)\.$/.exec(sentence)
  const d = /^In (.+?) this was done without a query \((on .+?)\): (.+); it gave ([\d,]+)\.$/.exec(sentence)
  const [name, deed, day, gave] = a
    ? [undefined, a[1], a[2], a[3]]
    : b
      ? [b[1], b[2], b[3], b[4]]
      : c
        ? [undefined, c[2], c[1], c[3]]
        : [d?.[1], d?.[3], d?.[2], d?.[4]]
  const n = numberIn(gave)
  return deed === undefined || n === undefined
    ? undefined
    : { ...(name === undefined ? {} : { name }), deed, day: day!, gave: n }
}

export interface TakenOverRead {
  names: string
  what: 'filter' | 'earlier strategy'
  name: string
  /** Empty: nothing was changed. */
  changed: string
}

export function takenOver(sentence: string): TakenOverRead | undefined {
  const m =
    /^(?:In (.+?), an? (filter|earlier strategy) was taken over|Taken over in (.+?) was an? (filter|earlier strategy)): (.+?)(?:, changed in this: (.+)|, unchanged)\.$/.exec(
      sentence,
    )
  return m
    ? {
        names: (m[1] ?? m[3])!,
        what: (m[2] ?? m[4]) as TakenOverRead['what'],
        name: m[5]!,
        changed: m[6] ?? '',
      }
    : undefined
}
