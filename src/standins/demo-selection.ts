import { held } from '../core/base'
import { Scanned } from '../core/engine'
import { parse, type Expr } from '../core/query'
import { followed, toDocument } from '../core/records'
import { askedNow, rulingsByWork, type CommandOf, type WorkRead } from '../core/review'
import { saidOfWorks } from '../core/figures'
import { LOAN_DAYS, placeOf, rulesOf, workingDaysAfter, type Place } from '../core/selection'
import type { OpenStandin } from '.'
import { Random } from './corpus/random'
import type { DemoRecords } from './demo-records'
import { DemoSide } from './demo-side'
import { READER, type Diary } from './diary'

/** The second reader of the demo: an id, and what she is called. */
const SECOND = 'demo-person-2'
const SECOND_NAME = 'L. Prins'
/** So many works were ruled by both, before the criteria were given a name. */
const SAMPLE = 60

const about = (text: string): Expr => parse(text).tree!
const SOUND = about(
  'title,keywords,subject,abstract: (noise OR reverberat* OR acoustic* OR amplif* OR babble)',
)
const YOUNG = about(
  'title,abstract,subject,keywords: (primary OR elementary OR grader* OR preschool OR kindergarten)',
)
const MEASURED = about(
  'title,abstract,subject,keywords: (comprehension OR "speech perception" OR reading OR intelligib* OR recall)',
)

/** How the demo goes from works found to works included: by the questions of the plan, as far as a record answers them. */
export class DemoSelection {
  private readonly random = new Random('demo rulings')

  constructor(
    private readonly diary: Diary,
    private readonly records: DemoRecords,
  ) {}

  /** Both passes, full texts, a second reader, references followed once: all but a few works come to their end. */
  work(standins: readonly OpenStandin[]): void {
    const { diary } = this
    const found = this.records.works().works
    this.broad(found.slice(0, SAMPLE), false)
    this.secondReader(found.slice(0, SAMPLE))
    this.settle()
    this.sharpen()
    diary.do('criteria.version', { id: diary.id('version'), name: 'after the first sixty', at: diary.now() })
    diary.nextMorning()
    diary.do('order.choose', { pass: 'broad', order: 'year', at: diary.now() })
    this.broad(found.slice(SAMPLE), true)
    diary.nextMorning()
    this.ask()
    this.follow(standins)
    this.broad(this.at('unread').slice(0, -3), true)
    diary.nextMorning()
    this.texts()
    diary.nextMorning()
    this.close()
    diary.do('departure.explain', {
      key: 'readers',
      reason: 'a second person had time for the first sixty works alone',
    })
  }

  /** What the two saw differently showed where a question was not clear: a departure from the protocol, with its reason. */
  private sharpen(): void {
    const asked = this.diary.review().criteria.find((c) => c.id === 'demo-criterion-2')!
    this.diary.do('criterion.set', {
      ...asked,
      text: 'Are most of the listeners 5 to 12 years old, or are they shown apart?',
    })
    this.diary.do('departure.explain', {
      key: `criterion:${asked.id}`,
      reason: 'we disagreed on studies of mixed ages among the first sixty works',
    })
  }

  private placed(): Map<string, Place> {
    const review = this.diary.review()
    const works = this.records.works()
    const { byWork } = rulingsByWork(works, review)
    const said = saidOfWorks(works, review)
    return new Map(
      works.works.map(({ id }) => [id, placeOf(held(byWork, id), said.get(id), rulesOf(review)).place]),
    )
  }
  private at(...places: Place[]): WorkRead[] {
    const placed = this.placed()
    return this.records.works().works.filter((w) => places.includes(placed.get(w.id)!))
  }

  private broad(works: readonly WorkRead[], named: boolean): void {
    const { diary, random } = this
    const version = named ? diary.review().criteriaVersions?.at(-1)?.id : undefined
    const made: { year: number; ruling: CommandOf<'ruling.set'>['payload']; seconds: number }[] = []
    for (const { id, record } of works) {
      const scanned = new Scanned(toDocument(record))
      const base = {
        recordId: id,
        pass: 'broad' as const,
        reader: READER,
        ...(version === undefined ? {} : { version }),
      }
      const seconds = random.int(9, 50)
      const say = (ruling: Pick<CommandOf<'ruling.set'>['payload'], 'verdict' | 'criterionId'>): void => {
        made.push({ year: record.year ?? 0, ruling: { ...base, ...ruling }, seconds })
      }
      if (!scanned.matches(SOUND)) say({ verdict: 'out', criterionId: 'demo-criterion-1' })
      else if (!scanned.matches(YOUNG))
        say(random.chance(0.04) ? { verdict: 'unsure' } : { verdict: 'out', criterionId: 'demo-criterion-2' })
      else if (random.chance(0.45)) say({ verdict: 'in' })
      else say({ verdict: 'out', criterionId: 'demo-criterion-2' })
    }
    // They are read as they are shown: as they came, and from the newest to the oldest since that was chosen.
    if (named) made.sort((a, b) => b.year - a.year)
    for (const { ruling, seconds } of made) diary.do('ruling.set', ruling, seconds)
  }

  /** Another person reads the sample apart, and her rulings come back as a file. */
  private secondReader(works: readonly WorkRead[]): void {
    const { diary, random, records } = this
    const { rulings } = diary.review()
    const asked = askedNow(diary.review(), 'broad')
    const side = new DemoSide(diary, SECOND, SECOND_NAME)
    for (const { id } of works) {
      const first = held(rulings, id)?.[`broad/${READER}`]
      if (!first) continue
      const other = random.chance(0.12)
      const verdict = other ? (first.verdict === 'in' ? 'out' : 'in') : first.verdict
      side.say({
        kind: 'ruling.set',
        payload: {
          recordId: id,
          pass: 'broad',
          reader: SECOND,
          verdict,
          ...(asked ? { asked } : {}),
          ...(verdict === 'out' ? { criterionId: first.criterionId ?? 'demo-criterion-2' } : {}),
        },
      })
    }
    side.takeIn(records.blobs)
  }

  /** What the two saw differently, but for one work. */
  private settle(): void {
    const { diary, random } = this
    const works = this.records.works()
    const review = diary.review()
    const { byWork } = rulingsByWork(works, review)
    const differ = works.works.filter(
      ({ id }) => placeOf(held(byWork, id), undefined, rulesOf(review)).broad.conflict,
    )
    for (const { id } of differ.slice(0, -1)) {
      const verdict = random.chance(0.5) ? 'in' : 'out'
      diary.do('ruling.settle', {
        recordId: id,
        pass: 'broad',
        verdict,
        by: READER,
        how: 'by talking it over',
        ...(verdict === 'out' ? { criterionId: 'demo-criterion-2' } : {}),
      })
    }
  }

  private ask(): void {
    const { diary } = this
    const people = diary.review().sources.find((s) => s.kind === 'people')!
    const day = diary.now().slice(0, 10)
    diary.do('contact.set', {
      id: diary.id('contact'),
      sourceId: people.id,
      who: 'R. Ahola',
      way: 'a letter',
      asked: day,
      answered: workingDaysAfter(day, 1),
      what: 'knew of no further measurements',
    })
    diary.do('contact.set', {
      id: diary.id('contact'),
      sourceId: people.id,
      who: 'T. Ebers',
      way: 'the telephone',
      asked: day,
      what: 'has not answered yet',
    })
  }

  /** What the kept works cite, in the database that knows references; then once more, which brings nothing new. */
  private follow(standins: readonly OpenStandin[]): void {
    const { diary, records } = this
    const { sources } = diary.review()
    const lists = sources.find((s) => s.kind === 'reference lists')!
    const kept = this.at('to be sought', 'sought').slice(0, 12)
    const named = standins.flatMap((standin) => {
      const own = kept.flatMap((w) =>
        w.from.flatMap((f) => (f.sourceId === `demo-${standin.info.id}` ? [f.recordId] : [])),
      )
      return followed(standin.records, own, 'cited').map((record) => ({ standin, record }))
    })
    const here = new Set(
      records.works().works.flatMap((w) => w.from.map((f) => `${f.sourceId} ${f.recordId}`)),
    )
    const fresh = named.filter(({ standin, record }) => !here.has(`demo-${standin.info.id} ${record.id}`))
    if (fresh.length)
      records.bringRecords(
        lists.id,
        fresh.map((f) => f.record),
      )
    const importId = fresh.length ? diary.review().imports.at(-1)!.id : undefined
    diary.do('step.follow', {
      id: diary.id('step'),
      sourceId: lists.id,
      of: kept.map((w) => w.id),
      named: named.length,
      known: named.length - fresh.length,
      at: diary.now(),
      ...(importId === undefined ? {} : { importId }),
    })
  }

  private texts(): void {
    const { diary, random } = this
    const day = diary.now().slice(0, 10)
    this.at('to be sought', 'sought').forEach(({ id }, n) => {
      const base = { recordId: id }
      if (n % 23 === 4)
        diary.do('retrieval.set', { ...base, state: 'not to be had', why: 'no library has the volume' }, 20)
      else if (n % 29 === 7)
        diary.do(
          'retrieval.set',
          { ...base, state: 'loan asked', asked: day, due: workingDaysAfter(day, LOAN_DAYS) },
          20,
        )
      else
        diary.do('retrieval.set', { ...base, state: random.chance(0.5) ? 'open copy' : 'subscription' }, 12)
    })
  }

  private close(): void {
    const { diary, random } = this
    const { retrievals = {} } = diary.review()
    const read = this.at('to be sought', 'sought').filter(({ id }) => retrievals[id]?.state !== 'loan asked')
    for (const [n, { id, record }] of read.entries()) {
      // Some thirty full texts are a day's work.
      if (n % 30 === 29) diary.nextMorning()
      const base = { recordId: id, pass: 'close' as const, reader: READER }
      const seconds = random.int(120, 900)
      if (!new Scanned(toDocument(record)).matches(MEASURED))
        diary.do('ruling.set', { ...base, verdict: 'out', criterionId: 'demo-criterion-3' }, seconds)
      else if (random.chance(0.3))
        diary.do('ruling.set', { ...base, verdict: 'out', reason: 'levels were not measured' }, seconds)
      else if (random.chance(0.12))
        diary.do('ruling.set', { ...base, verdict: 'out', reason: 'no comparison of conditions' }, seconds)
      else diary.do('ruling.set', { ...base, verdict: 'in' }, seconds)
    }
    const [one, two] = this.at('included')
    if (one && two)
      diary.do('study.bind', {
        id: diary.id('study'),
        name: 'One ceiling, two reports',
        records: [one.id, two.id],
      })
  }
}
