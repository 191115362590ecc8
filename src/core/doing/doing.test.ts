import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import { blockBytes, layOut, emptyRecord } from '../records'
import {
  emptyReview,
  fold,
  kindNamed,
  lastDeed,
  REVIEWED,
  nextEntry,
  undoable,
  worksOf,
  type Command,
  type Entry,
  type Line,
  type Review,
} from '../review'
import { tell } from '../figures'
import * as doings from '.'
import {
  addContact,
  addDescribed,
  addPage,
  addSources,
  chooseValue,
  dropFilter,
  keepFilter,
  logExport,
  putInGroup,
  sayPair,
  takeRecordApart,
  takePhrase,
  takeSourceOut,
  askToRead,
  bindStudy,
  chooseCounts,
  chooseOrder,
  chooseRule,
  correctRun,
  dayContact,
  dayPage,
  drawSample,
  dropContact,
  dropPage,
  dropQuote,
  editPassage,
  finishSearchReview,
  keepDescription,
  keepPage,
  keepQuote,
  keepText,
  leaveRemarks,
  leaveUndescribed,
  logAgain,
  logBefore,
  logByHand,
  addHeadingSeen,
  logLookUp,
  logRuns,
  logWay,
  nameCriteria,
  partStudy,
  planReading,
  putReadingRight,
  retrieve,
  ruleMany,
  ruleWork,
  sayNotice,
  sayOnePerson,
  settle,
  settleSearchPoint,
  takeFixes,
  takeProposal,
  takeHistory,
  type Doing,
  type DoingAt,
} from '.'

import { NO_DEED, PLAN_CASES, PLANNED } from './plan-cases.fixture'

const AT = '2026-11-25T09:00:00.000Z'
const line = (id: string, text: string): Line => ({ id, text, limits: [], note: '', drafted: false })
const LINES = [line('1', 'noise'), line('2', 'class'), line('3', '#1 AND #2')]
const SOURCE = { id: 's', kind: 'database', name: 'Harbour Abstracts', why: '' } as const
const RUN = { source: SOURCE, lines: LINES, sent: 'noise.q1.', release: '', evidence: {} } as const

const RECORDS = [emptyRecord('1', 'One'), emptyRecord('2', 'Two')]
const PAGE = {
  id: 'p',
  sourceId: 's',
  address: '',
  title: '',
  searched: '',
  publisher: '',
  dated: '',
  evidence: '',
  purpose: '',
}
const FILE = { name: 'a.pdf', mediaType: 'application/pdf', size: 3, digest: 'b'.repeat(64) }
const BEGUN: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'Sound' } },
  { kind: 'source.set', payload: SOURCE },
  { kind: 'source.set', payload: { ...SOURCE, id: 'u', name: 'Database' } },
  { kind: 'strategy.draft', payload: { sourceId: 's', lines: LINES } },
  ...logRuns(at(emptyReview('r')), [{ ...RUN, line: LINES[0]!, hits: 41, how: 'by hand' }]),
  { kind: 'criterion.set', payload: { id: 'c1', text: 'Was sound measured?', pass: 'broad', sense: 'in' } },
  {
    kind: 'records.import',
    payload: { id: 'i', sourceId: 's', digest: 'a'.repeat(64), count: 2, at: AT },
  },
  { kind: 'contact.set', payload: { id: 'k', sourceId: 's', who: 'R. Ahola', way: '', what: '' } },
  { kind: 'page.set', payload: PAGE },
  { kind: 'quote.set', payload: { id: 'q', recordId: 'i/1', text: 'loud', page: '3' } },
  { kind: 'study.bind', payload: { id: 'st', name: 'One trial', records: ['i/1', 'i/2'] } },
  ...PLANNED,
]

function at(review: Review): DoingAt {
  let ids = 0
  return { review, now: AT, newId: () => `new-${++ids}`, person: 'p-1' }
}

/** Doings are called by what they do; other functions of the folder by what they are. */
const DOES =
  /^(?:add|log|correct|take|rule[WM]|retrieve|keep|settle$|choose|plan|name|draw|bind|partStudy|drop|day|say|askTo|askC|finish|edit|put|leave|beginC|turn|noteG|noteR|noteS|freeze|amend|answerElement|move|tellApart)/

/** Something was brought in, and one work of it was ruled. */
const ruledOf = (review: Review) =>
  tell(
    review,
    worksOf(review, () => RECORDS),
  ).ruled

/** One press a doing: with what it is done, each does something. */
const CASES: Record<string, (review: Review) => readonly Command[]> = {
  ...PLAN_CASES,
  addSources: (r) =>
    addSources(at(r), [
      { kind: 'database', name: 'Fen', profileId: 'fen' },
      { kind: 'people', name: 'people in the field' },
    ]),
  sayPair: (r) => sayPair(at(r), { a: 'i/1', b: 'i/2', same: false }),
  chooseValue: (r) => chooseValue(at(r), { record: 'i/1', field: 'title' }),
  putInGroup: (r) => putInGroup(at(r), { work: { id: 'i/1', records: ['i/1'] }, isIn: true, named: 'Core' }),
  keepFilter: (r) => keepFilter(at(r), { name: 'Noise', asked: { words: 'noise', chosen: {}, leftOut: {} } }),
  dropFilter: (r) => dropFilter(at(r), 'f-1'),
  logExport: (r) => logExport(at(r), { format: 'ris', works: 2, which: 'all' }),
  takeRecordApart: (r) => takeRecordApart(at(r), { record: 'i/1', from: ['i/1', 'i/2', 'i/3'] }),
  takeSourceOut: (r) => takeSourceOut(at(r), SOURCE.id),
  takePhrase: (r) =>
    takePhrase(at(r), { letter: 'D', phrase: { text: 'noise', start: 0, end: 5 }, headings: [] }),
  addDescribed: (r) => addDescribed(at(r), { ...PROFILES.mindmere!, platform: 'Harbour Online' }),
  keepDescription: (r) =>
    keepDescription(at(r), {
      source: SOURCE,
      before: PROFILES.mindmere,
      typed: { ...PROFILES.mindmere!, sideBySide: 'phrase' },
    }),
  leaveUndescribed: (r) => leaveUndescribed(at(r), { ...SOURCE, id: 'u', name: 'Database' }),
  addHeadingSeen: (r) =>
    addHeadingSeen(at(r), {
      sourceId: 's',
      page: { label: 'Classroom sound', broader: [], narrower: ['Hum'], related: [], usedFor: [] },
      from: 'page',
      conceptId: 'c',
    }),
  logLookUp: (r) => logLookUp(at(r), { sourceId: 's', words: ' school bells ' }),
  logRuns: (r) =>
    logRuns(
      at(r),
      LINES.map((l) => ({ ...RUN, line: l, hits: 7, how: 'stand-in' as const })),
    ),
  logBefore: (r) =>
    logBefore(at(r), {
      ...{ source: SOURCE, lines: LINES, at: '2024-11-18T12:00:00Z', hits: 318 },
      ...{ ranBy: '', reader: 'Ida', platform: '', note: 'from a notebook' },
    }),
  logByHand: (r) =>
    logByHand(at(r), {
      ...RUN,
      line: LINES[0]!,
      hits: 7,
      ranBy: 'H. Marrow',
      reader: 'M. Osei',
      platform: 'Harbour Online',
      coverage: 'since 1990',
    }),
  logAgain: (r) =>
    logAgain(at(r), {
      ...{ ...RUN, line: LINES[0]!, hits: 9, ranBy: '', reader: 'M. Osei', platform: '', coverage: '' },
      ...{ as: 'update', before: r.runs[0]!, because: '' },
    }),
  takeFixes: (r) =>
    takeFixes(at(r), { sourceId: 's', fixes: [{ label: 'x', lineId: '1', text: 'noise OR din' }] }),
  leaveRemarks: (r) =>
    leaveRemarks(at(r), {
      sourceId: 's',
      remarks: [{ key: 'k', message: 'No line uses line 1.' }],
      reason: '',
    }),
  putReadingRight: (r) =>
    putReadingRight(at(r), { run: r.runs[0]!, line: line('1', 'nois?'), why: 'one letter' }),
  correctRun: (r) => correctRun(at(r), { run: r.runs[0]!, hits: 42, because: ' mistyped ' }),
  takeHistory: (r) =>
    takeHistory(at(r), {
      source: SOURCE,
      lines: LINES,
      runs: [{ ...RUN, line: LINES[2]!, hits: 3, how: 'pasted history' }],
    }),
  ruleWork: (r) => {
    const ruled = ruledOf(r)
    return ruleWork(at(r), { work: ruled.works.works[0]!, ruled, pass: 'close', verdict: 'in', had: 'have' })
  },
  ruleMany: (r) =>
    ruleMany(at(r), {
      ids: ['i/1', 'i/2'],
      ruled: ruledOf(r),
      pass: 'broad',
      because: 'no study',
      which: 'f',
    }),
  retrieve: (r) => retrieve(at(r), { recordId: 'i/1', before: undefined, state: 'loan asked' }),
  keepText: (r) => keepText(at(r), { recordId: 'i/1', before: undefined, file: FILE }),
  settle: (r) => settle(at(r), { ids: ['i/1', 'i/2'], pass: 'broad', verdict: 'in', after: 'talk', how: '' }),
  chooseRule: (r) => chooseRule(at(r), { pass: 'broad', rule: 'settle first' }),
  chooseCounts: (r) => chooseCounts(at(r), { sourceId: 's', lineId: LINES[0]!.id }),
  chooseOrder: (r) => chooseOrder(at(r), { pass: 'broad', order: 'chance' }),
  finishSearchReview: (r) => {
    const answers = REVIEWED.map((element) => ({
      reader: 'p-1',
      element,
      verdict: 'none' as const,
      words: '',
      at: '2026-11-16T09:00:00Z',
    }))
    const review = { ...r, searchReviews: { 'p-1': { reader: 'p-1', answers, comments: [] } } }
    expect(finishSearchReview(at(r), { as: 'librarian', head: 'a'.repeat(64) })).toEqual([])
    return finishSearchReview(at(review), { as: 'librarian', head: 'a'.repeat(64) })
  },
  takeProposal: (r) => {
    const [sourceId, [line]] = Object.entries(r.strategies).find(([, lines]) => lines.length)! as [
      string,
      readonly { id: string }[],
    ]
    const comment = {
      ...{ reader: 'p-9', id: 'k', sourceId, lineId: line!.id, text: 'wider', at: '2026-11-16T09:00:00Z' },
      proposal: { text: 'noise OR sound' },
    }
    expect(settleSearchPoint(at(r), { point: comment, as: 'declined', reason: ' ' })).toEqual([])
    return takeProposal(at(r), { comment })
  },
  askToRead: (r) =>
    askToRead(at(r), {
      id: 'a',
      pass: 'broad',
      records: ['i/1'],
      called: 'all',
      blinded: true,
      until: '2026-12-12',
    }),
  sayNotice: (r) => sayNotice(at(r), { notice: 'i/1', of: 'i/2' }),
  sayOnePerson: (r) => sayOnePerson(at(r), { a: 'p-1', b: 'p-2', why: '' }),
  planReading: (r) => planReading(at(r), { pass: 'broad', way: 'two each' }),
  nameCriteria: (r) => nameCriteria(at(r), { name: 'after the first fifty' }),
  drawSample: (r) => drawSample(at(r), { from: ruledOf(r).works.works, count: 1, group: 'g' }),
  bindStudy: (r) => bindStudy(at(r), { id: undefined, name: 'Another', ids: ['i/1', 'i/2'] }),
  partStudy: (r) => partStudy(at(r), { id: 'st' }),
  keepQuote: (r) => keepQuote(at(r), { recordId: 'i/1', text: 'loud', page: '' }),
  dropQuote: (r) => dropQuote(at(r), { id: 'q' }),
  addContact: (r) => addContact(at(r), { sourceId: 's' }),
  dayContact: (r) => dayContact(at(r), { contact: r.contacts![0]!, of: 'asked', day: '2026-11-25' }),
  dropContact: (r) => dropContact(at(r), { id: 'k' }),
  addPage: (r) => addPage(at(r), { sourceId: 's' }),
  dayPage: (r) => dayPage(at(r), { page: PAGE, day: '2026-11-25' }),
  keepPage: (r) => keepPage(at(r), { page: PAGE, copy: FILE }),
  dropPage: (r) => dropPage(at(r), { id: 'p' }),
  editPassage: (r) =>
    editPassage(at(r), {
      passage: 'where',
      content: [{ type: 'paragraph', content: [{ type: 'text', text: 'In my words.' }] }],
    }),
  logWay: (r) => logWay(at(r), { sourceId: 's', how: 'read', day: '2026-11-25', named: 9, known: 9 }),
}

/** A journal in which each list of commands is one press. */
function journalOf(...presses: (readonly Command[])[]): Entry[] {
  const entries: Entry[] = []
  presses.forEach((commands, press) =>
    commands.forEach((command) => {
      const when = new Date(Date.parse(AT) + press * 60_000).toISOString()
      const salt = entries.length.toString(16).padStart(32, '0')
      entries.push(nextEntry(entries.at(-1), command, { at: when, by: 'p-1', salt }))
    }),
  )
  return entries
}
const shown = (entries: readonly Entry[]): Review => {
  const { review, problems } = fold(entries)
  expect(problems).toEqual([])
  return review
}

describe('every doing', () => {
  it('has a case here', () => {
    const all = Object.entries(doings).filter(
      ([name, of]) => typeof of === 'function' && DOES.test(name) && (of as Doing<never>).length === 2,
    )
    expect(all.map(([name]) => name).sort()).toEqual(Object.keys(CASES).sort())
  })

  it.each(Object.keys(CASES))(
    '%s is one press: taken back, the review is as before, or, where something of it happened, none of it goes',
    (name) => {
      const begun = BEGUN.map((c) => [c])
      const before = shown(journalOf(...begun))
      const commands = CASES[name]!(before)
      expect(commands.length).toBeGreaterThan(0)
      const entries = journalOf(...begun, commands)
      expect(shown(entries)).not.toEqual(before)
      const deed = lastDeed(entries, undoable(fold(entries)))!
      // What another deed of its kind takes the place of is not taken back by undo.
      if (commands.every((c) => kindNamed(c.kind)!.undo === 'superseded')) return
      const happened = commands.some((c) => kindNamed(c.kind)!.undo === 'happened')
      const undos = commands.filter((c) => kindNamed(c.kind)!.undo === 'yes').length
      if (happened) {
        // Where only what happened was done, undo reaches for the press before, and asks where runs came since.
        if (undos) expect(deed.stays).toBeTruthy()
        else expect(deed.seqs.every((seq) => seq <= begun.length)).toBe(true)
        const ran = commands.some((c) => c.kind === 'run.log')
        if (!undos) expect(Boolean(deed.runsSince)).toBe(ran)
        return
      }
      expect(deed.stays).toBeUndefined()
      expect(deed.seqs).toHaveLength(commands.length)
      const undone = deed.seqs.map((seq): Command => ({ kind: 'undo', payload: { seq } }))
      expect(shown(journalOf(...begun, commands, undone))).toEqual(before)
    },
  )
})

it.each(Object.keys(NO_DEED))('%s is no deed', (name) => {
  expect(NO_DEED[name]!(shown(journalOf(...BEGUN.map((c) => [c]))))).toEqual([])
})

describe('logging a run by hand', () => {
  const of = (review: Review, more: object = {}) =>
    logByHand(at(review), {
      ...RUN,
      line: LINES[0]!,
      hits: 7,
      ranBy: '',
      reader: 'M. Osei',
      platform: '',
      coverage: '',
      ...more,
    })
  const review = shown(journalOf(...BEGUN.map((c) => [c])))
  it('is of who logs it, unless somebody else is named, who then has an entry', () => {
    expect(of(review).map((c) => c.kind)).toEqual(['run.log'])
    expect(of(review)[0]).toMatchObject({ payload: { by: 'p-1', number: 1, how: 'by hand' } })
    expect(of(review, { ranBy: ' M. Osei ' }).map((c) => c.kind)).toEqual(['run.log'])
    const other = of(review, { ranBy: 'H. Marrow' })
    expect(other.map((c) => c.kind)).toEqual(['person.named', 'run.log'])
    expect(other[1]).toMatchObject({ payload: { by: 'new-1' } })
  })
  it('notes platform and coverage for the source only where nothing was noted there', () => {
    const noted = of(review, { platform: 'Harbour Online', coverage: 'since 1990' })
    expect(noted.at(-1)).toEqual({
      kind: 'source.set',
      payload: { ...SOURCE, platform: 'Harbour Online', coverage: 'since 1990' },
    })
    const source = { ...SOURCE, platform: 'A', coverage: 'B' }
    expect(of(review, { source, platform: 'C', coverage: 'D' }).map((c) => c.kind)).toEqual(['run.log'])
  })
})

describe('bringing records in', () => {
  const { at: laid } = layOut([emptyRecord('1', 'One')])
  const import_ = (review: Review, insteadBecause?: string) =>
    doings.importOf(at(review), { sourceId: 's', at: laid, count: 1, insteadBecause })
  const slow = {
    match: async (imports: readonly { id: string }[]) => ({
      imports: imports.map((i) => i.id),
      classes: [0],
      toSettle: [],
    }),
    keep: async (bytes: Uint8Array) => (bytes.length > blockBytes([]).length ? 'a' : 'b').repeat(64),
  }
  const begun = BEGUN.filter((c) => c.kind !== 'records.import').map((c) => [c])
  const review = shown(journalOf(...begun))
  it('comes with what the rules make of all records then, as one list', async () => {
    const commands = await doings.withRules(review, [import_(review)], slow)
    expect(commands?.map((c) => c.kind)).toEqual(['records.import', 'partition.set'])
    expect(commands?.[1]).toMatchObject({ payload: { imports: ['new-1'] } })
  })
  it('does nothing at all where comparing was stopped', async () => {
    expect(
      await doings.withRules(review, [import_(review)], { ...slow, match: async () => undefined }),
    ).toBeUndefined()
  })
  it('takes the place of one part alone where that is named: the same records, read or typed otherwise', () => {
    const two = shown(
      journalOf(
        ...begun,
        ...['a', 'b'].map((id) => [
          { kind: 'records.import' as const, payload: { id, sourceId: 's', ...laid, count: 1, at: AT } },
        ]),
      ),
    )
    const again = doings.importOf(at(two), {
      sourceId: 's',
      at: laid,
      count: 1,
      insteadOf: 'b',
      insteadBecause: 'its file was read again',
    })
    expect(again.payload.supersedes).toEqual({ ids: ['b'], because: 'its file was read again' })
    const file = { name: 'a.csv', digest: 'f'.repeat(64) }
    const parts = [
      { ...two.imports[0]!, count: 3, file, broken: [{ position: 2, line: 2, why: 'cut off' }] },
      { ...two.imports[1]!, count: 3 },
    ]
    // Of what no file brought the type stays; names are those of positions in the file.
    expect(doings.typesSet(parts, ['a/3', 'a/4', 'b/1']).map((p) => [p.of.id, p.names])).toEqual([
      ['a', ['a/3', 'a/4']],
    ])
    expect(doings.typesSet(parts, ['b/1'])).toEqual([])
  })
  it('takes the place of what the source brought only with a reason', () => {
    const after = shown(journalOf(...begun, [import_(review)]))
    expect(import_(after).payload.supersedes).toBeUndefined()
    expect(import_(after, 'a newer export').payload.supersedes).toEqual({
      ids: ['new-1'],
      because: 'a newer export',
    })
  })
})
