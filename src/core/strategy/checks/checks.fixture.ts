import { buildIndex, evaluate } from '../../engine'
import type { Profile } from '../../profile'
import { parse, type LimitValue } from '../../query'
import { emptyRecord, toDocument, type Rec } from '../../records'
import { readOutline, Thesaurus } from '../../vocabulary'
import type { PlanTerm } from '../draft/draft'
import { runStrategy } from '../run/run'
import { spellingPairs } from '../words'
import { checkStrategy, type CheckContext, type Remark } from '.'

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

export interface Given {
  lines: { text: string; conceptId?: string; limits?: LimitValue[] }[]
  profile?: Profile
  terms?: PlanTerm[]
  limits?: LimitValue[]
  wanted?: number[]
  vocabulary?: boolean
  searched?: boolean
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
  vocabulary: has = true,
  searched = true,
}: Given & { profile: Profile }): Remark[] {
  const all = lines.map((l, i) => ({ id: `l${i + 1}`, limits: [], conceptId: 'b', ...l }))
  const results = runStrategy({ index, profile, options }, all)
  const context: CheckContext = {
    concepts: CONCEPTS,
    terms,
    limits,
    sourceId: 's',
    profile,
    lines: all.map((l, i) => ({
      ...l,
      number: i + 1,
      tree: parse(l.text).tree,
      docs: results[i]!.docs,
      hits: results[i]!.docs?.length,
      losses: results[i]!.losses,
    })),
    searched,
    index,
    thesaurus: has ? thesaurus : undefined,
    pairs: spellingPairs({ behavior: 'behaviour' }, { behaviour: 'behavior' }),
    wanted: new Set(wanted),
    find: (e) => evaluate(index, e, options).docs,
  }
  return checkStrategy(context)
}
