import { runStrategy } from '@/core/strategy'
import { JudgeDesk, type Judged, type JudgedPlan, type KeyedRemark, type PlannedLine } from '../judge-desk'
import { openHere } from '../open-here'
import type { OpenStandin } from '@/standins'
import { NEAR_MISSES, OPERATORS, type Ground, type Planted } from './operators.fixture'
import { INDEXES, planOf, sheetFor, topicNamed, wantedFor, type IndexId } from './topics.fixture'

const sources = openHere()
const desk = new JudgeDesk(sources)

/** Where the records lie: here; elsewhere; elsewhere, and those that the search found were brought in, some of them ruled. */
export type Setting = 'here' | 'outside' | 'brought in'

/**
 * Remarks that a sheet which asks for what is planned never deserves: written down before anything was counted. What else is said
 * of a sheet without a fault is true of it by its records (a word that finds nothing, a heading beside, another spelling).
 */
export const NEEDLESS: ReadonlySet<string> = new Set([
  ...['or-between-concepts', 'and-in-concept', 'and-adds-nothing', 'concept-twice', 'part-for-block'],
  ...['concept-missing', 'no-line', 'unused-line', 'optional-asked', 'many-asked', 'planned-missing'],
  ...['one-field', 'not-loses', 'heading-unknown', 'entry-term', 'heading-as-words', 'side-by-side'],
  ...['mixed-operators', 'small-operator', 'broken-line', 'wrong-reference', 'dead-line', 'main-focus'],
  ...[
    'limit-lost',
    'limit-forgotten',
    'limit-stricter',
    'limit-other',
    'limit-unplanned',
    'limit-unavailable',
  ],
  ...['no-words-asked', 'no-nearness', 'no-vocabulary', 'twice'],
])

export interface Trial {
  operator: string
  topic: string
  source: IndexId
  how: 'drafted' | 'typed'
  setting: Setting
  /** Faults planted, and those of them that were told at their line; 0 for a sheet without one. */
  planted: number
  right: number
  /** What was said that nothing planted deserves. */
  needless: KeyedRemark[]
  /** The element of the guideline under which the fault was told. */
  element?: string | undefined
}

async function remarksOn(
  source: IndexId,
  lines: PlannedLine[],
  plan: JudgedPlan,
  judged: Judged,
  setting: Setting,
): Promise<KeyedRemark[]> {
  const open = await sources.source(source)
  if (setting === 'here')
    return (await desk.judge({ key: source, sourceId: 'mine', lines, plan, judged }))!.remarks
  const counted = runStrategy(open, lines).map((r, i) => ({ ...lines[i]!, hits: r.docs?.length }))
  const about = { profile: open.profile, vocabulary: source, sourceId: 'mine', lines: counted, plan }
  if (setting === 'outside') return desk.remarks(about)
  const found = runStrategy(open, lines).at(-1)?.docs ?? []
  const ruled = new Map([
    ...judged.in.map((id) => [id, 'in' as const] as const),
    ...judged.out.map((id) => [id, 'out' as const] as const),
  ])
  return desk.remarks({
    ...about,
    brought: [...found].map((doc) => {
      const record = open.records[doc]!
      return { record, ruled: ruled.get(record.id) }
    }),
  })
}

/** Faults that only records can show: where these lie outside nothing is said of them, and that is right. */
const NEEDS_RECORDS: ReadonlySet<string> = new Set([
  ...['a misspelt word', 'a heading as main focus only', 'the title alone', 'the author field for words'],
  ...['NOT with a word of the matter', 'a truncated word cut too late', 'a concept asked for twice'],
])

/** Of those, what records that were brought in show as well. */
const BROUGHT_SHOW: ReadonlySet<string> = new Set(['a misspelt word'])

/** A fault of these is one whatever it changes in what is found. */
const OF_FORM: ReadonlySet<string> = new Set([
  ...['twice', 'covered', 'heading-unknown', 'entry-term', 'heading-as-words', 'mixed-operators'],
  ...['concept-twice', 'limit-forgotten', 'limit-lost'],
])

interface Stage extends Ground {
  source: OpenStandin
  judged: Judged
  base: Pick<Trial, 'topic' | 'source' | 'how' | 'setting'>
  /** Keys of what is said of the sheet before anything is planted. */
  before: readonly KeyedRemark[]
}

/** The sheets of one topic, drafted and typed, in each source where they find ten records or more. */
async function stages(topic: string, setting: Setting): Promise<Stage[]> {
  const found: Stage[] = []
  for (const id of INDEXES) {
    const source = await sources.source(id)
    const plan = planOf(topicNamed(topic), source, id)
    // A source that has no word for one side of the question is not searched for it.
    if (!['b', 'c'].every((c) => plan.terms.some((t) => t.conceptId === c))) continue
    const judged = wantedFor(plan, source)
    for (const how of ['drafted', 'typed'] as const) {
      const lines = sheetFor(plan, how)
      if ((runStrategy(source, lines).at(-1)?.docs?.length ?? 0) < 10) continue
      const base = { topic, source: id, how, setting }
      const before = await remarksOn(id, lines, plan, judged, setting)
      found.push({ lines, plan, source, judged, base, before })
    }
  }
  return found
}

const LEAST_CHANGE = 3

/** Is it a fault here: of form, or one that changes what is found? */
function isFault({ source, lines }: Stage, planted: Planted): boolean {
  if (planted.codes.some((c) => OF_FORM.has(c))) return true
  const [before, after] = [lines, planted.lines].map((l) => new Set(runStrategy(source, l).at(-1)?.docs))
  const apart =
    [...before!].filter((d) => !after!.has(d)).length + [...after!].filter((d) => !before!.has(d)).length
  return apart >= LEAST_CHANGE
}

async function trial(
  stage: Stage,
  operator: string,
  lines: PlannedLine[],
  planted: readonly Planted[],
): Promise<Trial> {
  const { base, plan, judged, before } = stage
  const remarks = await remarksOn(base.source, lines, plan, judged, base.setting)
  // A word that finds nothing is told of records that were brought in under a name of its own.
  const codesOf = (p: Planted): readonly string[] =>
    base.setting === 'brought in' && p.codes.includes('dead-part') ? [...p.codes, 'none-brought'] : p.codes
  const hits = planted.map((p) => remarks.find((r) => r.lineId === p.at && codesOf(p).includes(r.code)))
  const seen = new Set(before.map((r) => r.key))
  const allowed = new Set(planted.flatMap((p) => [...codesOf(p), ...p.also]))
  const needless = remarks.filter((r) => NEEDLESS.has(r.code) && !seen.has(r.key) && !allowed.has(r.code))
  return {
    ...base,
    operator,
    planted: planted.length,
    right: hits.filter((h) => h !== undefined).length,
    needless,
    element: hits[0]?.element,
  }
}

const faultsOf = (stage: Stage): [string, Planted][] =>
  Object.entries(OPERATORS).flatMap(([name, plant]): [string, Planted][] => {
    const { setting } = stage.base
    const shown = setting === 'here' || (setting === 'brought in' && BROUGHT_SHOW.has(name))
    if (!shown && NEEDS_RECORDS.has(name)) return []
    const planted = plant(stage)
    return planted && isFault(stage, planted) ? [[name, planted]] : []
  })

/** Every operator and every near miss on the sheets of one topic, and the sheets as they are. */
export async function triedOn(topic: string, setting: Setting): Promise<Trial[]> {
  const trials: Trial[] = []
  for (const stage of await stages(topic, setting)) {
    const needless = stage.before.filter((r) => NEEDLESS.has(r.code))
    trials.push({ ...stage.base, operator: 'sound', planted: 0, right: 0, needless })
    for (const [name, planted] of faultsOf(stage))
      trials.push(await trial(stage, name, planted.lines, [planted]))
    for (const [name, make] of Object.entries(NEAR_MISSES)) {
      const lines = make(stage)
      if (lines) trials.push(await trial(stage, name, lines, []))
    }
  }
  return trials
}

/** Two faults at once, the second planted where the first one is: each operator with the next that finds a place of its own. */
export async function triedTwice(topic: string, setting: Setting): Promise<Trial[]> {
  const trials: Trial[] = []
  for (const stage of await stages(topic, setting)) {
    const all = faultsOf(stage)
    for (const [i, [name, first]] of all.entries()) {
      if (i % 3) continue
      const after = { ...stage, lines: first.lines }
      const next = [...all.slice(i + 1), ...all.slice(0, i)].flatMap(([other]): [string, Planted][] => {
        const planted = OPERATORS[other]!(after)
        // Another place and no second limit, so that neither is the other’s doing.
        const limits = [first, planted].every((p) => p?.codes.every((c) => c.startsWith('limit')))
        return planted && !limits && planted.at !== first.at && isFault(after, planted)
          ? [[other, planted]]
          : []
      })[0]
      if (next) trials.push(await trial(stage, `${name} and ${next[0]}`, next[1].lines, [first, next[1]]))
    }
  }
  return trials
}

/** Remarks whose gain is that of their first change, whatever else they say. */
const MEASURED: ReadonlySet<string> = new Set([
  ...[
    'one-field',
    'main-focus',
    'not-loses',
    'optional-asked',
    'many-asked',
    'concept-twice',
    'part-for-block',
  ],
  ...[
    'no-heading-asked',
    'no-words-asked',
    'stem-too-long',
    'limit-unplanned',
    'limit-stricter',
    'limit-other',
  ],
])

/** For every gain that is told on the planted sheets of a topic: what was told, and what running the changed lines gives. */
export async function recounted(topic: string): Promise<{ code: string; told: number; ran: number }[]> {
  const found: { code: string; told: number; ran: number }[] = []
  for (const stage of await stages(topic, 'here'))
    for (const [, { lines }] of faultsOf(stage)) {
      const { source, plan, judged, base } = stage
      const hits = (sheet: readonly PlannedLine[]): number =>
        runStrategy(source, sheet).at(-1)?.docs?.length ?? 0
      for (const { code, gain, fixes } of await remarksOn(base.source, lines, plan, judged, 'here')) {
        const [fix] = fixes
        if (!gain || !fix || !MEASURED.has(code)) continue
        const after = lines.map((l) =>
          l.id === fix.lineId ? { ...l, text: fix.text, limits: [...(fix.limits ?? l.limits)] } : l,
        )
        found.push({ code, told: gain.hits, ran: hits(after) - hits(lines) })
      }
    }
  return found
}
