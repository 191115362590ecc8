import type { Line, Packed } from '../core/review'
import { evaluate } from '../core/engine'
import { parse } from '../core/query'
import { beginning, runOf } from '../core/doing'
import { draftStrategy, runStrategy, type Plan } from '../core/strategy'
import { DemoRecords } from './demo-records'
import { reviewSearches } from './demo-search-review'
import { DemoSelection } from './demo-selection'
import { Diary, READER, READER_NAME } from './diary'
import { draftSource, evidenceNow, RELEASES, type OpenStandin } from '.'

const QUESTION =
  'How do sound conditions in primary-school classrooms bear on pupils’ listening comprehension and early reading?'

const CONCEPTS = [
  {
    letter: 'A',
    name: 'Setting',
    role: 'Population',
    essential: false,
    words: ['primary-school classrooms'],
    note: 'authors often leave it unsaid',
  },
  { letter: 'B', name: 'Sound conditions', role: 'Exposure', essential: true, words: ['sound conditions'] },
  {
    letter: 'C',
    name: 'Listening and reading',
    role: 'Outcome',
    essential: true,
    words: ['listening comprehension', 'early reading'],
  },
] as const

const WORDS: Record<string, string[]> = {
  A: ['classroom*', '"primary school*"', '"elementary school*"', 'schoolroom*'],
  B: ['noise', 'reverberat*', 'acoustic*', '"sound field"', 'babble', 'amplif*'],
  C: [
    '"listening comprehension"',
    '"listening effort"',
    '"speech perception"',
    '"early reading"',
    '"reading fluency"',
    '"word reading"',
  ],
}
const DROPPED: Record<string, [string, string]> = {
  A: ['pupil*', 'names the people, not the place, and finds nearly everything'],
}

/** What is written where a source has no sign for any ending: the forms that the reader meant. */
const WRITTEN_OUT: Record<string, string> = {
  'classroom*': 'classroom',
  'primary school*': 'primary school',
  'elementary school*': 'elementary school',
  // No record there has a schoolroom.
  ' OR schoolroom*': '',
  'reverberat*': 'reverberation',
  'acoustic*': 'acoustic OR acoustics',
  'amplif*': 'amplification',
}

/** By source and concept: heading, and whether with narrower. */
const HEADINGS: Record<string, Record<string, [string, boolean][]>> = {
  fernhollow: {
    A: [
      ['Elementary school classrooms', true],
      ['Primary education', false],
    ],
    B: [
      ['Classroom sound', true],
      ['Noise (sound)', true],
    ],
    C: [
      ['Listening comprehension', true],
      ['Listening effort', false],
      ['Speech perception in class', false],
      ['Beginning reading', true],
    ],
  },
  girder: {
    A: [
      ['Primary schools', false],
      ['Teaching spaces', false],
    ],
    B: [
      ['Room acoustics', true],
      ['Background noise', false],
      ['Sound absorption', true],
    ],
    C: [
      ['Speech intelligibility', false],
      ['Listening conditions', false],
      ['School performance', false],
    ],
  },
  mindmere: {
    A: [['School environment', false]],
    B: [
      ['Auditory masking', true],
      ['Noise exposure', false],
      ['Irrelevant speech', false],
    ],
    C: [
      ['Listening comprehension', true],
      ['Listening effort', false],
      ['Speech perception', false],
      ['Reading development', true],
    ],
  },
}

const WHY: Record<string, string> = {
  fernhollow: 'its thesaurus covers classrooms as well as listening and reading',
  girder: 'rooms and noise are measured by engineers, who publish there',
  mindmere: 'listening and reading are its subjects, with named measures',
  wideband: 'it reaches across fields and counts citations',
  quayside: 'it shows what the library can open, and searches full texts',
}

/**
 * The demo review, made with the same commands that a person gives and with searches that are really run, so that it
 * is a state that the product can reach. The same review every time. It is searched twice: in an earlier release and
 * again, half a year later, in the present one.
 */
export function buildDemo(earlier: readonly OpenStandin[], standins: readonly OpenStandin[]): Packed {
  const diary = new Diary()
  for (const { kind, payload } of beginning({ id: 'demo', title: 'Sound in primary classrooms' }))
    diary.do(kind, payload)
  diary.do('person.named', { id: READER, name: READER_NAME })
  diary.do('question.set', { text: QUESTION })
  plan(diary, standins)
  diary.nextMorning()
  terms(diary, standins)
  knownItems(diary, standins)
  diary.do('protocol.freeze', { id: diary.id('protocol'), at: diary.now(), readers: 2 })
  diary.do('protocol.register', {
    place: 'the register of reviews of a faculty of education',
    number: 'SR-26-014',
    on: diary.now().slice(0, 10),
  })
  const records = new DemoRecords(diary)
  for (const standin of earlier) {
    diary.nextMorning()
    draft(diary, standin)
    searches(diary, standin)
  }
  diary.resume(2026, 5, 5)
  reviewSearches(diary, records.blobs)
  diary.resume(2026, 11, 16)
  for (const standin of standins) {
    diary.nextMorning()
    const again = diary.review().sources.find((s) => s.profileId === standin.info.id)!
    diary.do('source.set', { ...again, release: standin.release })
    const { docs, runId } = searches(diary, standin)
    records.bring(standin, docs, runId)
  }
  diary.nextMorning()
  records.bringOwn(diary.review().sources.find((s) => s.kind === 'own collection')!.id)
  records.work()
  diary.nextMorning()
  new DemoSelection(diary, records).work(standins)
  return { entries: diary.entries, blobs: records.blobs }
}

function plan(diary: Diary, standins: readonly OpenStandin[]): void {
  diary.do('framework.set', { framework: 'PEO' })
  for (const { words, ...concept } of CONCEPTS) {
    const id = `demo-concept-${concept.letter}`
    diary.do('concept.set', { id, ...{ note: '' }, ...concept })
    for (const text of words) {
      const start = QUESTION.indexOf(text)
      diary.do('pick.add', { id: diary.id('pick'), conceptId: id, start, end: start + text.length, text })
    }
  }
  diary.do('limit.set', {
    id: 'demo-limit-years',
    limit: { kind: 'years', from: 2017, to: 2026 },
    reason: 'rules for school rooms were revised in 2016',
  })
  diary.do('limit.set', {
    id: 'demo-limit-language',
    limit: { kind: 'language', values: ['en', 'de', 'es'] },
    reason: 'these are what the readers can read',
  })
  diary.do('limit.set', {
    id: 'demo-limit-peer',
    limit: { kind: 'peer reviewed' },
    reason: 'studies should have been judged by others',
  })
  diary.do('criterion.set', {
    id: 'demo-criterion-1',
    text: 'Was sound measured or changed in a classroom?',
    pass: 'broad',
    sense: 'in',
    short: 'sound neither measured nor changed in a classroom',
  })
  diary.do('criterion.set', {
    id: 'demo-criterion-2',
    text: 'Are the listeners 5 to 12 years old?',
    pass: 'broad',
    sense: 'in',
    short: 'listeners of another age',
  })
  diary.do('criterion.set', {
    id: 'demo-criterion-3',
    text: 'Is understanding or reading measured, not only liking?',
    pass: 'close',
    sense: 'in',
    short: 'neither understanding nor reading measured',
  })
  for (const { info } of standins)
    diary.do('source.set', {
      id: `demo-${info.id}`,
      kind: 'database',
      name: info.name,
      profileId: info.id,
      why: WHY[info.id] ?? '',
      release: RELEASES[0],
      reminder: { every: 'half year', from: '2026-10-13' },
    })
  for (const other of OTHERS) diary.do('source.set', { id: diary.id('source'), ...other })
}

const OTHERS = [
  {
    kind: 'reference lists',
    name: 'the reference lists of works kept',
    why: 'reports on single schools are cited more often than indexed',
  },
  {
    kind: 'people',
    name: 'two acousticians who advise schools',
    why: 'they know of measurements that are in no journal',
  },
  {
    kind: 'own collection',
    name: 'notes of earlier years',
    why: 'the question grew out of it',
  },
] as const

/** Works that the reader knew beforehand: a few on the matter itself, pasted as references. */
function knownItems(diary: Diary, standins: readonly OpenStandin[]): void {
  const wanted = parse(
    'title: (noise OR reverberat* OR acoustic* OR babble) AND title,abstract: (listening OR "speech perception" OR reading) AND title,abstract: (pupil* OR classroom*)',
  ).tree!
  const seen = new Set<string>()
  for (const { info, index, options, records } of standins.slice(0, 4)) {
    const found = Array.from(evaluate(index, wanted, options).docs, (doc) => records[doc]!)
      .filter((r) => r.doi && r.year! >= 2012 && !seen.has(r.doi.toLowerCase()))
      .sort((a, b) => (a.id < b.id ? -1 : 1))
      .filter((_, i) => i % 7 === 3)
      .slice(0, info.id === 'fernhollow' ? 3 : 2)
    for (const r of found) seen.add(r.doi!.toLowerCase())
    if (found.length)
      diary.do('known.add', {
        items: found.map((r) => ({
          id: diary.id('known'),
          raw: `${r.authors.join('; ')} (${r.year}). ${r.title}. ${r.journal ?? ''}. ${r.doi}`,
          form: 'reference' as const,
          title: r.title,
          authors: r.authors,
          ...(r.year === undefined ? {} : { year: r.year }),
          ...(r.journal === undefined ? {} : { journal: r.journal }),
          doi: r.doi!.toLowerCase(),
        })),
      })
  }
}

function terms(diary: Diary, standins: readonly OpenStandin[]): void {
  for (const { letter } of CONCEPTS) {
    const base = { conceptId: `demo-concept-${letter}`, mainFocus: false }
    for (const expression of WORDS[letter]!)
      diary.do('term.set', {
        ...base,
        id: diary.id('term'),
        sourceId: 'all',
        kind: 'text',
        expression,
        withNarrower: false,
        origin: 'typed',
        status: 'in use',
      })
    const dropped = DROPPED[letter]
    if (dropped)
      diary.do('term.set', {
        ...base,
        id: diary.id('term'),
        sourceId: 'all',
        kind: 'text',
        expression: dropped[0],
        withNarrower: false,
        origin: 'typed',
        status: 'dropped',
        reason: dropped[1],
      })
    for (const { info } of standins)
      for (const [expression, withNarrower] of HEADINGS[info.id]?.[letter] ?? [])
        diary.do('term.set', {
          ...base,
          id: diary.id('term'),
          sourceId: `demo-${info.id}`,
          kind: 'heading',
          expression,
          withNarrower,
          origin: 'look-up',
          status: 'in use',
        })
  }
  diary.do('gap.set', {
    id: diary.id('gap'),
    conceptId: 'demo-concept-B',
    sourceId: 'demo-mindmere',
    about: 'Reverberation time',
  })
}

function draft(diary: Diary, standin: OpenStandin): void {
  const sourceId = `demo-${standin.info.id}`
  const review = diary.review()
  const asked: Plan = {
    concepts: review.concepts,
    alternatives: review.alternatives,
    terms: review.terms,
    limits: review.limits.map((l) => l.limit),
  }
  const lines: Line[] = draftStrategy(asked, sourceId, draftSource(standin.info)).map((l) => ({
    id: diary.id('line'),
    note: '',
    drafted: true,
    ...l,
  }))
  diary.do('strategy.draft', { sourceId, lines })
  if (standin.profile.truncation?.any) return
  for (const { id, text } of lines) {
    const written = Object.entries(WRITTEN_OUT).reduce((t, [cut, forms]) => t.replace(cut, forms), text)
    if (written !== text) diary.do('line.change', { sourceId, id, text: written })
  }
}

/** Runs every line and logs it; gives what the last one found, and its run. */
function searches(diary: Diary, standin: OpenStandin): { docs: ArrayLike<number>; runId: string } {
  const sourceId = `demo-${standin.info.id}`
  const review = diary.review()
  const lines = review.strategies[sourceId]!
  const source = review.sources.find((s) => s.id === sourceId)!
  const evidence = evidenceNow({
    standinId: standin.info.id,
    release: standin.release,
    profile: standin.profile,
    vocabularyFile: undefined,
  })
  let lastRun = ''
  let docs: ArrayLike<number> = []
  for (const result of runStrategy(standin, lines)) {
    const line = lines[result.number - 1]!
    if (!result.docs)
      throw new Error(
        `Line ${result.number} in ${standin.info.name} does not run: ${result.problems.map((p) => p.message).join(' ')}`,
      )
    const run = runOf(
      { review, now: diary.now(), newId: () => diary.id('run'), person: READER },
      {
        source,
        lines,
        line,
        sent: result.sent,
        hits: result.docs.length,
        release: standin.release,
        how: 'stand-in',
        evidence,
      },
    )
    lastRun = run.id
    docs = result.docs
    diary.do('run.log', run, 2)
  }
  return { docs, runId: lastRun }
}
