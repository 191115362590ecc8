/** Small reviews of other makes, each as the journal that a person would have written. */
import { tell } from '../figures'
import { emptyRecord } from '../records'
import { fold, nextEntry, worksOf, type Command, type Entry, type Line } from '../review'
import { lineKeys, reachedBy } from '../strategy'
import { PROFILES } from '../../standins/profiles'
import { releaseWords } from '../../standins'
import { sourceFactsOf } from '../../standins/source-facts'
import type { FactContext } from './facts'

class Writer {
  readonly entries: Entry[] = []
  private minute = 0
  private day = '2026-05-04'

  on(day: string): this {
    this.day = day
    return this
  }
  at(): string {
    const minutes = 9 * 60 + this.minute++
    return `${this.day}T${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}:00.000Z`
  }
  put(kind: string, payload: object): this {
    const salt = this.entries.length.toString(16).padStart(32, '0')
    this.entries.push(
      nextEntry(this.entries.at(-1), { kind, payload } as Command, { at: this.at(), by: 'p-1', salt }),
    )
    return this
  }
  plan(): this {
    return this.put('review.create', { id: 'r', title: 'Quiet corners' })
      .put('question.set', { text: 'Does a quiet corner in the classroom help pupils to read?' })
      .put('concept.set', { id: 'c1', letter: 'A', name: 'Quiet corners', essential: true, note: '' })
      .put('concept.set', { id: 'c2', letter: 'B', name: 'Reading', essential: true, note: '' })
      .term('t1', 'c1', '"quiet corner*"')
      .term('t2', 'c1', 'retreat')
      .term('t3', 'c2', 'read*')
  }
  term(id: string, conceptId: string, expression: string): this {
    return this.put('term.set', {
      id,
      conceptId,
      sourceId: 'all',
      kind: 'text',
      expression,
      withNarrower: false,
      mainFocus: false,
      origin: 'typed',
      status: 'in use',
    })
  }
  source(id: string, kind: string, name: string, why: string, more: object = {}): this {
    return this.put('source.set', { id, kind, name, why, ...more })
  }
  limit(reason: string): this {
    return this.put('limit.set', { id: 'y', limit: { kind: 'years', from: 2015, to: 2026 }, reason })
  }
  person(id: string, name: string): this {
    return this.put('person.named', { id, name })
  }
  /** Lines as they were copied from the history of a database that is described. */
  pasted(sourceId: string, rows: readonly (readonly [text: string, sent: string, hits: number])[]): this {
    const lines = rows.map(([text], n): Line => ({
      ...{ id: `${sourceId}-${n + 1}`, text, limits: [], note: '', drafted: false },
      ...(n < 2 ? { conceptId: n ? 'c2' : 'c1' } : {}),
    }))
    this.put('strategy.set', { sourceId, lines, why: 'a pasted history' })
    rows.forEach(([text, sent, hits], n) =>
      this.put('run.log', {
        ...{ id: `${sourceId}-run-${n + 1}`, sourceId, lineId: lines[n]!.id, number: n + 1, text, sent },
        key: lineKeys(lines).get(lines[n]!.id)!,
        reached: reachedBy(lines, lines[n]!.id),
        ...{ limits: [], hits, at: this.at(), by: 'p-1', release: '', how: 'pasted history' },
      }),
    )
    return this
  }
  /** Two lines, one that joins them, and one with a limit if it is wanted; all run. */
  search(sourceId: string, hits: readonly number[], how: string, release: string, limited: boolean): this {
    const line = (id: string, text: string, conceptId?: string): Line => ({
      id: `${sourceId}-${id}`,
      text,
      limits: [],
      note: '',
      drafted: false,
      ...(conceptId ? { conceptId } : {}),
    })
    const lines = [
      line('a', 'text: ("quiet corner*" OR retreat)', 'c1'),
      line('b', 'text: read*', 'c2'),
      line('c', '#1 AND #2'),
      ...(limited
        ? [{ ...line('d', '#3'), limits: [{ kind: 'years', from: 2015, to: 2026 }] as Line['limits'] }]
        : []),
    ]
    this.put('strategy.set', { sourceId, lines, why: 'drafted anew' })
    const keys = lineKeys(lines)
    lines.forEach((l, n) =>
      this.put('run.log', {
        id: `${l.id}-${this.entries.length}`,
        sourceId,
        lineId: l.id,
        key: keys.get(l.id)!,
        reached: reachedBy(lines, l.id),
        number: n + 1,
        text: l.text,
        sent: l.text,
        limits: l.limits,
        hits: hits[n]!,
        at: this.at(),
        by: 'p-1',
        release,
        how,
      }),
    )
    return this
  }
  /** One line of a form, its count typed. */
  typed(sourceId: string, text: string, sent: string, hits: number): this {
    const line: Line = { id: `${sourceId}-1`, text, limits: [], note: '', drafted: false }
    return this.put('strategy.set', { sourceId, lines: [line], why: 'drafted anew' }).put('run.log', {
      ...{ id: `${sourceId}-run-1`, sourceId, lineId: line.id, number: 1, text, sent, limits: [], hits },
      ...{ key: lineKeys([line]).get(line.id)!, reached: reachedBy([line], line.id), at: this.at() },
      ...{ by: 'p-1', release: '', how: 'by hand' },
    })
  }
  /** Every line of a source run again as it was, with other counts. */
  again(sourceId: string, hits: readonly number[]): this {
    const runs = this.entries
      .filter((e) => e.kind === 'run.log' && (e.payload as { sourceId: string }).sourceId === sourceId)
      .map((e) => e.payload as object)
    runs.forEach((run, n) =>
      this.put('run.log', {
        ...run,
        ...{ id: `${sourceId}-again-${n + 1}`, hits: hits[n]!, at: this.at(), roundId: 'u' },
      }),
    )
    return this
  }
  /** A search of before the record, of which a day and a count are known. */
  before(sourceId: string, hits: number, day: string): this {
    const line: Line = { id: `${sourceId}-line`, text: '', limits: [], note: '', drafted: false }
    return this.put('strategy.set', { sourceId, lines: [line], why: 'drafted anew' }).put('run.log', {
      ...{ id: `${sourceId}-before`, sourceId, lineId: line.id, number: 1, text: '', sent: '', limits: [] },
      ...{ key: lineKeys([line]).get(line.id)!, reached: reachedBy([line], line.id), hits },
      ...{ at: `${day}T12:00:00.000Z`, by: 'p-1', release: '', how: 'before' },
    })
  }
  bring(sourceId: string, count: number, more: object = {}): this {
    return this.put('records.import', {
      id: `i${this.entries.length}`,
      sourceId,
      digest: 'a'.repeat(64),
      count,
      at: this.at(),
      ...more,
    })
  }
  /** Rules records of an import from the first on. */
  rule(
    importId: string,
    verdicts: readonly ('in' | 'out' | 'unsure')[],
    pass = 'broad',
    reader = 'p-1',
  ): this {
    verdicts.forEach((verdict, n) =>
      this.put('ruling.set', {
        recordId: `${importId}/${n + 1}`,
        pass,
        reader,
        verdict,
        ...(pass === 'close' && verdict === 'out' ? { reason: 'no comparison' } : {}),
      }),
    )
    return this
  }
  context(): FactContext {
    const { review, problems } = fold(this.entries)
    if (problems.length) throw new Error(JSON.stringify(problems))
    let made = 0
    const records = new Map(
      review.imports.map((i) => [
        i.id,
        Array.from({ length: i.count }, () => emptyRecord(String(++made), `Title ${made}`)),
      ]),
    )
    return {
      review,
      figures: tell(
        review,
        worksOf(review, (i) => records.get(i.id)),
      ).figures,
      entries: this.entries,
      source: (id) => {
        const described = review.profiles.length ? sourceFactsOf(review)(id) : undefined
        if (described) return described
        const source = review.sources.find((s) => s.id === id)
        const profile = PROFILES[source?.profileId ?? '']
        return source?.kind === 'database'
          ? {
              release: '',
              ...(profile ? { releaseWords } : {}),
              hasVocabulary: source.profileId === 'fernhollow',
              ...(profile ? { profile, short: source.name.split(' ')[0]! } : {}),
            }
          : undefined
      },
    }
  }
}

const FERNHOLLOW = { profileId: 'fernhollow' }
const QUAYSIDE = { profileId: 'quayside' }
const ten = ['in', 'out', 'in', 'out', 'unsure', 'out', 'out', 'in', 'out', 'out'] as const

/** One writes codes of fields behind what is asked, and one knows neither fields nor NOT. */
const BEHIND = {
  ...{ id: 'mere', name: 'Mere Catalogue', kind: 'other', sideBySide: 'all' },
  operators: { and: ['AND'], or: ['OR'], not: ['NOT'], capitals: true, binding: [['and', 'or', 'not']] },
  quotes: { open: '"', close: '"', exact: true, signs: true },
  truncation: { any: '*' },
  fields: [{ of: ['title'], form: '{expr}.t9.' }],
  any: ['title', 'abstract'],
  lines: { reference: '{n}', kept: 'always' },
  limits: {},
}
const BARE = {
  ...{ id: 'oast', name: 'Oast Index', kind: 'other', sideBySide: 'all' },
  operators: { and: ['AND'], or: ['OR'], capitals: true, binding: [['and', 'or']] },
  quotes: { open: '"', close: '"', exact: true, signs: false },
  fields: [],
  any: ['title', 'abstract', 'keywords'],
  lines: { reference: '{n}', kept: 'always' },
  limits: {},
}

/** Codes behind in square brackets, and a way of its own to name lines. */
const BRACKETED = {
  ...BEHIND,
  ...{ id: 'tarn', name: 'Tarn Abstracts', lines: { reference: '#{n}', kept: 'always' } },
  fields: [
    { of: ['title'], form: '{expr}[q1]' },
    { of: ['title', 'abstract', 'keywords'], form: '{expr}[q2]' },
  ],
}
/** A form with rows and no lines. */
const FORM = {
  ...{ id: 'cope', name: 'Cope Catalogue', kind: 'catalogue', sideBySide: 'all' },
  operators: { and: ['and'], or: ['or'], not: ['not'], binding: [['not'], ['and'], ['or']] },
  quotes: { open: '"', close: '"', exact: true, signs: false },
  fields: [],
  any: ['title', 'subject'],
  rows: {
    fields: [
      { of: ['any'], name: 'Any field' },
      { of: ['title'], name: 'Words in title' },
    ],
    joins: ['and', 'or'],
    most: 4,
  },
  limits: {},
}
/** Codes before, stems, no NOT, and no more than five records handed out. */
const STEMMING = {
  ...BARE,
  ...{ id: 'salt', name: 'Salt Scholar', stemming: 'stems', caps: { exported: 5 } },
  fields: [{ of: ['title', 'abstract', 'keywords'], form: 'w/{expr}' }],
}

/** By what makes each different. */
export const OTHERS: Record<string, () => FactContext> = {
  'one database': () =>
    new Writer()
      .plan()
      .source('f', 'database', 'Fernhollow Education Index', 'it covers schools', FERNHOLLOW)
      .limit('corners were furnished anew from 2015 on')
      .search('f', [120, 900, 40, 31], 'stand-in', '2026-03', true)
      .bring('f', 31)
      .context(),
  'no vocabulary': () =>
    new Writer()
      .plan()
      .source('q', 'database', 'Quayside Library Search', '', QUAYSIDE)
      .search('q', [80, 700, 25], 'stand-in', '2026-03', false)
      .context(),
  'by hand only': () =>
    new Writer()
      .plan()
      .source('l', 'database', 'Lantern Index', 'it holds theses', {
        platform: 'the reading room',
        together: 'the Lantern Reports',
        coverage: '1990 to 2026',
      })
      .source('h', 'hand search', 'the journal of the school builders', '')
      .search('l', [12, 340, 7, 5], 'by hand', '1990 to 2026', true)
      .bring('l', 5)
      .bring('h', 2)
      .context(),
  'no limits': () => {
    const w = new Writer()
      .plan()
      .source('f', 'database', 'Fernhollow Education Index', '', FERNHOLLOW)
      .source('q', 'database', 'Quayside Library Search', '', QUAYSIDE)
      .search('f', [120, 900, 40], 'stand-in', '2026-03', false)
      .search('q', [80, 700, 25], 'stand-in', '2026-03', false)
      .bring('f', 10)
    const id = `i${w.entries.length - 1}`
    return w.rule(id, ten).rule(id, ['in', 'out'], 'close').context()
  },
  'an update': () => {
    const w = new Writer()
      .plan()
      .source('f', 'database', 'Fernhollow Education Index', '', FERNHOLLOW)
      .search('f', [120, 900, 40], 'stand-in', '2026-03', false)
      .bring('f', 10)
    const id = `i${w.entries.length - 1}`
    w.rule(id, ['in', 'out', 'in', 'out', 'out', 'out', 'out', 'out', 'out', 'out'])
      .rule(id, ['in'], 'close')
      .put('ruling.set', { recordId: `${id}/3`, pass: 'close', reader: 'p-1', verdict: 'in' })
      .on('2026-11-10')
      .source('f', 'database', 'Fernhollow Education Index', '', { ...FERNHOLLOW, release: '2026-09' })
      .search('f', [130, 960, 44], 'stand-in', '2026-09', false)
      .put('round.begin', { id: 'u', kind: 'update', why: 'half a year later' })
      .bring('f', 4, { roundId: 'u' })
    return w.rule(`i${w.entries.length - 1}`, ['out', 'out', 'in', 'out']).context()
  },
  'people and web only': () =>
    new Writer()
      .plan()
      .source('p', 'people', 'three head teachers', 'they furnished such corners')
      .source('w', 'web', 'pages of school authorities', '')
      .put('contact.set', {
        id: 'k1',
        sourceId: 'p',
        who: 'R. Vane',
        way: 'a letter',
        asked: '2026-05-01',
        answered: '2026-05-03',
        what: 'plans of two corners',
      })
      .put('contact.set', {
        id: 'k2',
        sourceId: 'p',
        who: 'S. Holm',
        way: 'a letter',
        asked: '2026-05-01',
        what: '',
      })
      .put('page.set', {
        id: 'g1',
        sourceId: 'w',
        address: 'https://corners.example',
        title: 'Corners',
        seen: '2026-05-04',
        searched: 'corner',
        publisher: 'a town',
        dated: '2024',
        evidence: 'a survey',
        purpose: 'advice',
      })
      .context(),
  'one reader unfinished': () => {
    const w = new Writer()
      .plan()
      .put('criterion.set', { id: 'k1', text: 'Was there a corner?', pass: 'broad', sense: 'in' })
      .source('f', 'database', 'Fernhollow Education Index', '', FERNHOLLOW)
      .search('f', [120, 900, 40], 'stand-in', '2026-03', false)
      .bring('f', 40)
    return w.rule(`i${w.entries.length - 1}`, ten).context()
  },
  'four who share': () => {
    const w = new Writer()
      .plan()
      .put('criterion.set', { id: 'k1', text: 'Was there a corner?', pass: 'broad', sense: 'in' })
      .source('f', 'database', 'Fernhollow Education Index', 'it covers schools', FERNHOLLOW)
      .search('f', [120, 900, 40], 'stand-in', '2026-03', false)
      .bring('f', 10)
    const id = `i${w.entries.length - 1}`
    ten.forEach((verdict, n) =>
      w.put('ruling.set', { recordId: `${id}/${n + 1}`, pass: 'broad', reader: `p-${(n % 4) + 1}`, verdict }),
    )
    return w
      .put('ruling.set', { recordId: `${id}/1`, pass: 'broad', reader: 'p-2', verdict: 'out' })
      .put('ruling.settle', {
        ...{ recordId: `${id}/1`, pass: 'broad', verdict: 'in', how: 'by talking it over', by: 'p-1' },
      })
      .put('ruling.set', { recordId: `${id}/3`, pass: 'close', reader: 'p-3', verdict: 'in' })
      .context()
  },
  'an update after an amendment': () => {
    const w = new Writer()
      .plan()
      .put('alternatives.set', { id: 'a1', conceptIds: ['c1', 'c2'] })
      .limit('corners were furnished anew from 2015 on')
      .source('f', 'database', 'Fernhollow Education Index', '', FERNHOLLOW)
      .put('protocol.freeze', { id: 'v1', at: '2026-05-04T09:30:00.000Z', readers: 1 })
    w.on('2026-05-06').search('f', [120, 900, 40, 31], 'stand-in', '2026-03', true).bring('f', 10)
    const id = `i${w.entries.length - 1}`
    w.rule(id, ten)
      .put('criterion.set', { id: 'k1', text: 'Was reading measured?', pass: 'close', sense: 'in' })
      .rule(id, ['in', 'out'], 'close')
      .put('protocol.amend', {
        ...{ id: 'v2', at: '2026-06-01T09:00:00.000Z', readers: 1, why: 'one question was missing' },
      })
      .on('2026-11-10')
      .source('f', 'database', 'Fernhollow Education Index', '', { ...FERNHOLLOW, release: '2026-09' })
      .search('f', [130, 960, 44, 36], 'stand-in', '2026-09', true)
      .put('round.begin', { id: 'u', kind: 'update', why: 'half a year later' })
      .bring('f', 4, { roundId: 'u' })
    return w.rule(`i${w.entries.length - 1}`, ['out', 'out', 'in', 'out']).context()
  },
  'two described databases': () => {
    const w = new Writer()
      .plan()
      .put('concept.set', {
        ...{ id: 'c2', letter: 'B', name: 'Reading', essential: false, note: 'few reports name it' },
      })
      .put('profile.set', BEHIND)
      .put('profile.set', BARE)
      .source('m', 'database', 'Mere Catalogue', 'it lists reports', { profileId: 'mere' })
      .source('o', 'database', 'Oast Index', '', { profileId: 'oast' })
      .pasted('m', [
        ['title: ("quiet corner*" OR retreat)', '("quiet corner*" OR retreat).t9.', 41],
        ['title: read*', 'read*.t9.', 512],
        ['#1 AND #2', '1 AND 2', 9],
      ])
      .pasted('o', [
        ['retreat NOT holiday', 'retreat', 77],
        ['reading', 'reading', 940],
        ['#1', '1', 77],
      ])
      .bring('m', 9)
    return w.rule(`i${w.entries.length - 1}`, ten.slice(0, 9)).context()
  },
  'one searched before, its strategy lost': () => {
    const w = new Writer()
      .plan()
      .source('f', 'database', 'Fernhollow Education Index', 'it covers schools', FERNHOLLOW)
      .source('l', 'database', 'Lantern Index', 'it holds theses', {})
      .before('l', 318, '2024-11-18')
      .search('f', [120, 900, 40], 'stand-in', '2026-03', false)
      .bring('f', 6)
      .bring('l', 4, { runId: 'l-before' })
    return w.rule(`i${w.entries.length - 1}`, ten.slice(0, 4)).context()
  },
  'three described databases, searched twice, one export capped': () => {
    const w = new Writer()
      .plan()
      .put('profile.set', BRACKETED)
      .put('profile.set', FORM)
      .put('profile.set', STEMMING)
      .source('t', 'database', 'Tarn Abstracts', 'it covers schools', { profileId: 'tarn' })
      .source('c', 'database', 'Cope Catalogue', 'it lists books', { profileId: 'cope' })
      .source('s', 'database', 'Salt Scholar', 'it reaches across fields', { profileId: 'salt' })
      .pasted('t', [
        ['text: ("quiet corner*" OR retreat)', '("quiet corner*" or retreat)[q2]', 41],
        ['text: read*', 'read*[q2]', 512],
        ['#1 AND #2', '#1 and #2', 9],
      ])
      .pasted('s', [
        ['text: ("quiet corner*" OR retreat)', 'w/("quiet corner" OR retreat)', 77],
        ['text: read*', 'w/reading', 940],
        ['#1 AND #2', '1 AND 2', 12],
      ])
      .typed('c', '"quiet corner" AND reading', 'Any field: "quiet corner"\nand Any field: reading', 3)
      .bring('t', 9)
    const first = `i${w.entries.length - 1}`
    w.bring('c', 3)
      .bring('s', 5, { runId: 's-run-3', of: { hits: 12, taken: 5, rankedBy: 'relevance' } })
      .rule(first, ten.slice(0, 9))
      .on('2026-11-10')
      .put('round.begin', { id: 'u', kind: 'update', why: 'half a year later' })
      .again('t', [43, 530, 11])
      .bring('t', 2, { roundId: 'u' })
    return w.rule(`i${w.entries.length - 1}`, ['out', 'in']).context()
  },
  'a plan with nothing run': () =>
    new Writer()
      .plan()
      .source('f', 'database', 'Fernhollow Education Index', 'it covers schools', FERNHOLLOW)
      .source('q', 'database', 'Quayside Library Search', '', QUAYSIDE)
      .source('p', 'people', 'three head teachers', '')
      .limit('')
      .context(),
}
