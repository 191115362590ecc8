import type { Command, Concept, Review, Term } from '../review'
import {
  addComment,
  addDrafts,
  addLine,
  addKnown,
  addUnnamed,
  amendProtocol,
  answerElement,
  askCriterion,
  beginConcept,
  chooseFramework,
  chooseLatest,
  chooseRelease,
  chooseRole,
  chooseTelling,
  chooseVoice,
  dropConcept,
  dropCriterion,
  dropEmptyLine,
  dropEvidence,
  dropGap,
  dropKnown,
  dropLimit,
  dropOwnWords,
  dropTerm,
  dropVocabulary,
  freezePlan,
  freezeSection,
  keepEvidence,
  leaveAdvice,
  moveTerm,
  nameKnown,
  noteGap,
  noteRegistration,
  noteStep,
  planLimit,
  planReminder,
  putElsewhere,
  putIntoConcept,
  putIntoLines,
  putLine,
  putStrategy,
  putTerms,
  sayHeading,
  sayRead,
  sayTakenOver,
  sayWhyDeparted,
  takeAdviceUp,
  takeLinesOut,
  takeMatters,
  takeOutOfConcepts,
  takePointBack,
  takeRemarkUp,
  takeTermBack,
  takeVocabulary,
  tellApartAnew,
  turnAlternative,
  turnEssential,
  turnPass,
  turnSense,
  type DoingAt,
} from '.'

const AT = '2026-11-25T09:00:00.000Z'
const DIGEST = 'c'.repeat(64)
const EVIDENCE = {
  sourceId: 's',
  lineId: '1',
  name: 'screen.png',
  mediaType: 'image/png',
  size: 3,
  digest: DIGEST,
}
const VOCABULARY = {
  ...{ sourceId: 's', title: 'Harbour Terms', version: '', file: 'terms.ttl', format: 'turtle' as const },
  ...{ digest: DIGEST, headings: 2, remarks: 0 },
}
const KNOWN = { form: 'DOI' as const, authors: [], title: '' }
const concept = (id: string, letter: 'A' | 'B'): Concept => ({
  ...{ id, letter, name: `Idea ${letter}`, essential: true, note: '' },
})
const term = (id: string, more: Partial<Term> = {}): Term => ({
  ...{ id, conceptId: 'ka', sourceId: 's', kind: 'text', expression: id, withNarrower: false },
  ...{ mainFocus: false, origin: 'typed', status: 'in use', ...more },
})

/** What a review has of its plan before each case. */
export const PLANNED: readonly Command[] = [
  { kind: 'question.set', payload: { text: 'Does noise bear on reading?' } },
  { kind: 'concept.set', payload: concept('ka', 'A') },
  { kind: 'concept.set', payload: concept('kb', 'B') },
  { kind: 'pick.add', payload: { id: 'pk', conceptId: 'ka', start: 5, end: 10, text: 'noise' } },
  { kind: 'term.set', payload: term('hum') },
  { kind: 'term.set', payload: term('buzz', { status: 'dropped', reason: 'too wide' }) },
  { kind: 'limit.set', payload: { id: 'li', limit: { kind: 'peer reviewed' }, reason: '' } },
  { kind: 'known.add', payload: { items: [{ ...KNOWN, id: 'kn', raw: '10.5555/a', doi: '10.5555/a' }] } },
  { kind: 'gap.set', payload: { id: 'ga', conceptId: 'ka', sourceId: 's', about: 'hum' } },
  { kind: 'vocabulary.import', payload: { id: 'vo', at: AT, ...VOCABULARY } },
  { kind: 'attachment.add', payload: { id: 'ev', at: AT, ...EVIDENCE } },
  {
    kind: 'remark.leave',
    payload: { id: 're', sourceId: 's', key: 'dead-line/1', message: 'No hits.', reason: '' },
  },
  { kind: 'advice.leave', payload: { key: 'few-terms/words', reason: 'so be it' } },
  { kind: 'account.edit', payload: { passage: 'where', content: [{ type: 'paragraph' }] } },
  { kind: 'protocol.freeze', payload: { id: 'pr', at: AT, readers: 2 } },
  { kind: 'searchreview.comment', payload: { reader: 'p-2', id: 'co', sourceId: 's', text: 'too narrow' } },
]

let ids = 0
const at = (review: Review): DoingAt => ({ review, now: AT, newId: () => `plan-${++ids}`, person: 'p-1' })
const termOf = (r: Review, id: string): Term => r.terms.find((t) => t.id === id)!
const conceptOf = (r: Review, id: string): Concept => r.concepts.find((c) => c.id === id)!
const sourceOf = (r: Review) => r.sources.find((s) => s.id === 's')!
const answers: Partial<Review['account']> = { voice: 'passive' }

/** One press a doing of question, terms, strategies and section. */
export const PLAN_CASES: Record<string, (review: Review) => readonly Command[]> = {
  beginConcept: (r) => beginConcept(at(r), { id: 'kc' }),
  dropConcept: (r) => dropConcept(at(r), 'kb'),
  turnEssential: (r) => turnEssential(at(r), conceptOf(r, 'ka')),
  chooseRole: (r) => chooseRole(at(r), { concept: conceptOf(r, 'ka'), role: 'exposure' }),
  chooseFramework: (r) => chooseFramework(at(r), 'PEO'),
  turnAlternative: (r) => turnAlternative(at(r), { conceptId: 'kb', other: 'ka' }),
  putIntoConcept: (r) => putIntoConcept(at(r), { letter: 'B', start: 19, end: 26 }),
  takeOutOfConcepts: (r) => takeOutOfConcepts(at(r), { start: 6, end: 8 }),
  planLimit: (r) => planLimit(at(r), { id: 'l2', limit: { kind: 'years', from: 2010 }, reason: '' }),
  dropLimit: (r) => dropLimit(at(r), 'li'),
  askCriterion: (r) => askCriterion(at(r), undefined),
  turnPass: (r) => turnPass(at(r), r.criteria[0]!),
  turnSense: (r) => turnSense(at(r), r.criteria[0]!),
  dropCriterion: (r) => dropCriterion(at(r), 'c1'),
  addKnown: (r) =>
    addKnown(at(r), [
      { ...KNOWN, raw: '10.5555/a', doi: '10.5555/a', lines: [1, 1], problems: [] },
      { ...KNOWN, raw: '10.5555/b', doi: '10.5555/b', lines: [2, 2], problems: [] },
    ]),
  nameKnown: (r) => nameKnown(at(r), { item: r.knownItems[0]!, title: 'Noise in rooms' }),
  dropKnown: (r) => dropKnown(at(r), 'kn'),
  addUnnamed: (r) => addUnnamed(at(r), { id: 'new' }),
  chooseRelease: (r) => chooseRelease(at(r), { source: sourceOf(r), release: '2026-03' }),
  chooseLatest: (r) => chooseLatest(at(r), [{ ...sourceOf(r), name: 'Harbour', release: '2026-03' }]),
  planReminder: (r) =>
    planReminder(at(r), { source: sourceOf(r), reminder: { every: 'half year', from: '2027-05-01' } }),
  putTerms: (r) =>
    putTerms(at(r), [
      term('din'),
      { conceptId: 'ka', sourceId: 's', kind: 'text', expression: 'buzz', origin: 'typed' },
    ]),
  moveTerm: (r) => moveTerm(at(r), { term: termOf(r, 'hum'), conceptId: 'kb' }),
  dropTerm: (r) => dropTerm(at(r), termOf(r, 'hum')),
  takeTermBack: (r) => takeTermBack(at(r), termOf(r, 'buzz')),
  sayHeading: (r) => sayHeading(at(r), { term: termOf(r, 'hum'), withNarrower: true, mainFocus: false }),
  putIntoLines: (r) => {
    const [first, ...rest] = r.strategies.s!
    const strategies = {
      ...r.strategies,
      s: [{ ...first!, conceptId: 'ka', text: 'text: (noise OR din)' }, ...rest],
    }
    return putIntoLines(at({ ...r, strategies }), { term: termOf(r, 'hum'), sourceIds: ['s', 'u'] })
  },
  noteGap: (r) => noteGap(at(r), { conceptId: 'kb', sourceId: 's', about: 'din' }),
  dropGap: (r) => dropGap(at(r), 'ga'),
  takeVocabulary: (r) => takeVocabulary(at(r), VOCABULARY),
  dropVocabulary: (r) => dropVocabulary(at(r), 'vo'),
  putStrategy: (r) =>
    putStrategy(at(r), { sourceId: 's', lines: r.strategies.s!.slice(0, 1), why: 'drafted anew' }),
  addDrafts: (r) =>
    addDrafts(at(r), [
      { sourceId: 'u', lines: [{ text: 'noise', limits: [] }] },
      { sourceId: 's', lines: [{ text: 'din', limits: [] }] },
    ]),
  addLine: (r) => addLine(at(r), { sourceId: 's', line: { ...r.strategies.s![0]!, id: 'new' }, at: 1 }),
  putLine: (r) => putLine(at(r), { sourceId: 's', id: '2', to: 0 }),
  takeLinesOut: (r) => takeLinesOut(at(r), { sourceId: 's', ids: ['3'] }),
  noteStep: (r) => noteStep(at(r), { id: 'sp', sourceId: 's', of: ['i/1'], named: 3, known: 3, at: AT }),
  putElsewhere: (r) =>
    putElsewhere(at(r), {
      from: sourceOf(r),
      to: [
        { sourceId: 'u', lines: r.strategies.s!, beside: false },
        { sourceId: 's', lines: r.strategies.s!, beside: true },
      ],
    }),
  dropEmptyLine: (r) => dropEmptyLine(at(r), { sourceId: 's', line: { ...r.strategies.s![2]!, text: '' } }),
  sayTakenOver: (r) =>
    sayTakenOver(at(r), {
      sourceId: 's',
      id: '1',
      takenOver: { what: 'filter', name: 'Rooms', changed: '' },
    }),
  takeRemarkUp: (r) => takeRemarkUp(at(r), 're'),
  keepEvidence: (r) => keepEvidence(at(r), EVIDENCE),
  dropEvidence: (r) => dropEvidence(at(r), 'ev'),
  addComment: (r) =>
    addComment(at(r), { reader: 'p-1', sourceId: 's', lineId: '1', of: 'noise', text: ' wider ' }),
  takeMatters: (r) =>
    takeMatters(at(r), {
      matters: [
        {
          ...{ key: 'title', words: '', needs: [] },
          commands: [{ kind: 'review.rename', payload: { title: 'Loudness' } }],
        } as never,
      ],
      chosen: new Set(['title']),
    }),
  tellApartAnew: (r) =>
    tellApartAnew(at(r), {
      kind: 'partition.set',
      payload: { rules: 1, imports: ['i'], digest: DIGEST },
    }),
  chooseVoice: (r) => chooseVoice(at(r), answers.voice!),
  chooseTelling: (r) => chooseTelling(at(r), { order: 'time', length: 'short' }),
  dropOwnWords: (r) => dropOwnWords(at(r), { passage: 'where' }),
  leaveAdvice: (r) => leaveAdvice(at(r), { key: 'long-sentence/where', reason: ' it reads well ' }),
  takeAdviceUp: (r) => takeAdviceUp(at(r), 'few-terms/words'),
  sayRead: (r) => sayRead(at(r), { question: 'How loud?' }),
  freezeSection: (r) =>
    freezeSection(at(r), {
      name: ' as sent ',
      at: AT,
      digest: DIGEST,
      journal: DIGEST,
      purpose: 'submission',
    }),
  answerElement: (r) =>
    answerElement(at(r), {
      reader: 'p-1',
      before: undefined,
      part: { element: 'words', verdict: 'suggested' },
    }),
  takePointBack: (r) => takePointBack(at(r), { reader: 'p-2', id: 'co' }),
  freezePlan: (r) => freezePlan(at(r), { readers: 1 }),
  amendProtocol: (r) => amendProtocol(at(r), { readers: 3, why: ' a third reader joined ' }),
  sayWhyDeparted: (r) => sayWhyDeparted(at(r), { key: 'limit:li', before: '', reason: 'the rules changed' }),
  noteRegistration: (r) => noteRegistration(at(r), { place: 'our faculty', number: 'B-12' }),
}

/** Presses that say nothing new, or nothing at all: no deed. */
export const NO_DEED: Record<string, (review: Review) => readonly Command[]> = {
  'a reason without words for advice': (r) => leaveAdvice(at(r), { key: 'k', reason: ' ' }),
  'an amendment without a reason': (r) => amendProtocol(at(r), { readers: 2, why: ' ' }),
  'the same words of a departure': (r) => sayWhyDeparted(at(r), { key: 'k', before: 'so', reason: ' so ' }),
  'a registration without a place': (r) => noteRegistration(at(r), { place: '', number: '7' }),
  'a comment without words': (r) => addComment(at(r), { reader: 'p-1', sourceId: 's', text: ' ' }),
  'a term moved to where it is': (r) => moveTerm(at(r), { term: termOf(r, 'hum'), conceptId: 'ka' }),
  'a known item that is known': (r) =>
    addKnown(at(r), [{ ...KNOWN, raw: 'x', doi: '10.5555/a', lines: [1, 1], problems: [] }]),
  'a line with words that is left': (r) => dropEmptyLine(at(r), { sourceId: 's', line: r.strategies.s![0]! }),
  'no terms': (r) => putTerms(at(r), []),
  'no lines to take out': (r) => takeLinesOut(at(r), { sourceId: 's', ids: [] }),
  'a draft without lines': (r) => addDrafts(at(r), [{ sourceId: 'u', lines: [] }]),
  'a ninth concept': (r) =>
    beginConcept(
      at({
        ...r,
        concepts: [...'ABCDEFGH'].map((letter) => ({ ...conceptOf(r, 'ka'), letter: letter as 'A' })),
      }),
      { id: 'k9' },
    ),
}
