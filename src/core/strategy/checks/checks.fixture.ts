import { applyLimits, buildIndex } from '../../engine'
import { limitAs, type Profile } from '../../profile'
import { parse, type LimitValue } from '../../query'
import { emptyRecord, toDocument, type Rec } from '../../records'
import { readOutline, Thesaurus } from '../../vocabulary'
import type { PlanTerm } from '../draft/draft'
import { asSent, runStrategy } from '../run/run'
import { spellingPairs } from '../words'
import { checkStrategy, type CheckContext, type CheckedLine, type Fix, type Remark } from '.'

// A small database with a vocabulary, and a plan, for the tests of the checks.

const { vocabulary } = readOutline(
  'Sound\n  Room acoustics\n    = echo\n    ~ Hearing\n    Reverberation time\nHearing',
  {
    id: 'v',
    title: 'V',
    version: '',
  },
)
export const thesaurus = new Thesaurus(vocabulary)
const record = (id: number, title: string, headings: string[] = [], year = 2020): Rec => ({
  ...emptyRecord(String(id), title),
  year,
  headings: headings.map((label) => ({ label, main: false })),
})
const RECORDS = [
  record(0, 'Noise in rooms and pupils reading', ['Room acoustics']),
  record(1, 'Reading behaviour and noise', ['Reverberation time']),
  record(2, 'Hearing aids and noise in sound field systems', ['Hearing']),
  record(3, 'Soundfield systems and reading behavior'),
  record(4, 'Ready to go', [], 2001),
  record(5, 'Readily available data'),
  record(6, 'Children copied the studies', [], 2019),
  record(7, 'A child copies a study', [], 2019),
]
const index = buildIndex(RECORDS.map(toDocument))
const options = { headings: (label: string, below: boolean) => thesaurus.foldedLabels(label, below) }
export const term = (conceptId: string, kind: PlanTerm['kind'], expression: string): PlanTerm => ({
  conceptId,
  sourceId: kind === 'text' ? 'all' : 's',
  kind,
  expression,
  withNarrower: false,
  mainFocus: false,
  status: 'in use',
})
export const CONCEPTS = [
  { id: 'a', letter: 'A', name: 'Setting', essential: false },
  { id: 'b', letter: 'B', name: 'Sound', essential: true },
]
export const PLAN = [
  term('b', 'text', 'noise'),
  term('b', 'heading', 'Room acoustics'),
  term('a', 'text', 'rooms'),
]

/** A line as it is read. */
export const read = (text: string): Pick<CheckedLine, 'tree' | 'problems'> => parse(text)

/** A line with a change made. */
export const fixed = <L extends { text: string; limits?: LimitValue[] }>(line: L, fix: Fix): L => ({
  ...line,
  text: fix.text,
  ...(fix.limits ? { limits: [...fix.limits] } : {}),
})

export interface Given {
  lines: { text: string; conceptId?: string; limits?: LimitValue[] }[]
  profile?: Profile
  terms?: PlanTerm[]
  limits?: LimitValue[]
  wanted?: number[]
  unwanted?: number[]
  vocabulary?: boolean
  searched?: boolean
  /** The number of the line that somebody chose to count. */
  counts?: number
}
/** What is remarked on these lines, run on the small database, which speaks as `profile` says or as is given. */
export const remarksIn =
  (profile: Profile) =>
  (given: Given): Remark[] =>
    remarksOf({ profile, ...given })

function remarksOf({
  lines,
  profile,
  terms = PLAN,
  limits = [],
  wanted = [],
  unwanted = [],
  vocabulary: has = true,
  searched = true,
  counts,
}: Given & { profile: Profile }): Remark[] {
  const all = lines.map((l, i) => ({ id: `l${i + 1}`, limits: [], conceptId: 'b', ...l }))
  const source = { index, profile, options }
  const results = runStrategy(source, all)
  const context: CheckContext = {
    concepts: CONCEPTS,
    terms,
    limits,
    sourceId: 's',
    profile,
    lines: all.map((l, i) => ({
      ...l,
      number: i + 1,
      ...read(l.text),
      docs: results[i]!.docs,
      hits: results[i]!.docs?.length,
      losses: results[i]!.losses,
    })),
    ...(counts ? { countingId: `l${counts}` } : {}),
    searched,
    index,
    thesaurus: has ? thesaurus : undefined,
    pairs: spellingPairs({ behavior: 'behaviour' }, { behaviour: 'behavior' }),
    wanted: new Set(wanted),
    unwanted: new Set(unwanted),
    find: (e) => asSent(source, e).docs,
    lossesOf: (e) => asSent(source, e).losses,
    limited: (docs, limit) => applyLimits(index, docs, [limitAs(limit, profile) ?? limit]),
  }
  return checkStrategy(context)
}
