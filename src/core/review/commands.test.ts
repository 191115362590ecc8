import { describe, expect, it } from 'vitest'
import { PROFILES } from '../../standins/profiles'
import type { CommandKind, CommandOf } from './commands'
import { Command } from './commands'
import { KINDS } from './kinds'
import { journalOf } from './commands.arbitrary'
import { fold } from './journal'
import type { Line, Term } from './values'

const line = (id: string, text: string): Line => ({ id, text, limits: [], note: '', drafted: true })
const term = (id: string, conceptId = 'a'): Term => ({
  id,
  conceptId,
  sourceId: 'all',
  kind: 'text',
  expression: id,
  withNarrower: false,
  mainFocus: false,
  status: 'in use',
  origin: 'typed',
})
const AT = '2026-11-25T09:00:00Z'
const DIGEST = 'd'.repeat(64)
const known = (id: string, title = id): CommandOf<'known.set'>['payload'] => ({
  id,
  raw: id,
  form: 'reference',
  title,
  authors: [],
})
const attachment: CommandOf<'attachment.add'>['payload'] = {
  id: 'e',
  sourceId: 's',
  name: 'screen.png',
  mediaType: 'image/png',
  size: 3,
  digest: DIGEST,
  at: AT,
}

const page = (id: string): CommandOf<'page.set'>['payload'] => ({
  id,
  sourceId: 's',
  address: 'https://rooms.example/',
  title: 'Rooms',
  searched: 'noise',
  publisher: '',
  dated: '',
  evidence: '',
  purpose: '',
})

/** A review with something of everything in it, made by commands. */
const BEGUN: Command[] = [
  { kind: 'review.create', payload: { id: 'r', title: 'Sound' } },
  { kind: 'question.set', payload: { text: 'How loud is a class?' } },
  {
    kind: 'concept.set',
    payload: { id: 'a', letter: 'A', name: 'Class', essential: true, note: '' },
  },
  {
    kind: 'concept.set',
    payload: { id: 'b', letter: 'B', name: 'Noise', essential: true, note: '' },
  },
  {
    kind: 'concept.set',
    payload: { id: 'd', letter: 'D', name: 'Hum', essential: true, note: '' },
  },
  { kind: 'alternatives.set', payload: { id: 'alt0', conceptIds: ['b', 'd'] } },
  { kind: 'pick.add', payload: { id: 'p', conceptId: 'a', start: 14, end: 19, text: 'class' } },
  { kind: 'limit.set', payload: { id: 'l', limit: { kind: 'peer reviewed' }, reason: '' } },
  { kind: 'criterion.set', payload: { id: 'c', text: 'Was it loud?', pass: 'broad', sense: 'in' } },
  { kind: 'source.set', payload: { id: 's', kind: 'database', name: 'Harbour Abstracts', why: '' } },
  { kind: 'known.add', payload: { items: [known('k')] } },
  { kind: 'gap.set', payload: { id: 'g', conceptId: 'a', sourceId: 's', about: 'loudness' } },
  {
    kind: 'vocabulary.import',
    payload: {
      id: 'v',
      sourceId: 's',
      title: 'V',
      version: '',
      file: 'v.ttl',
      format: 'turtle',
      digest: DIGEST,
      headings: 1,
      remarks: 0,
      at: AT,
    },
  },
  { kind: 'profile.set', payload: PROFILES.mindmere! },
  { kind: 'term.set', payload: term('t') },
  {
    kind: 'strategy.draft',
    payload: { sourceId: 's', lines: [line('1', 'noise'), line('2', 'class'), line('3', '#1 AND #2')] },
  },
  {
    kind: 'remark.leave',
    payload: { id: 'm', sourceId: 's', key: 'dead-line/1', message: 'No hits.', reason: 'so be it' },
  },
  {
    kind: 'records.import',
    payload: {
      id: 'i',
      sourceId: 's',
      digest: DIGEST,
      count: 1,
      at: AT,
      broken: [{ position: 2, line: 9, why: 'cut off' }],
    },
  },
  { kind: 'attachment.add', payload: attachment },
  {
    kind: 'run.log',
    payload: {
      id: 'run',
      sourceId: 's',
      lineId: '1',
      key: 'k',
      number: 1,
      text: 'noise',
      sent: 'noise',
      limits: [],
      hits: 7,
      at: AT,
      by: 'p-1',
      release: '',
      how: 'by hand',
      there: 'S4',
      onScreen: [{ what: '2017–2026', where: 'below the box' }],
      printer: 1,
    },
  },
  { kind: 'ruling.set', payload: { recordId: 'i/1', pass: 'broad', reader: 'p-1', verdict: 'in' } },
  { kind: 'account.edit', payload: { passage: 'records', content: [{ type: 'paragraph' }] } },
  { kind: 'group.set', payload: { id: 'g1', name: 'For the introduction' } },
  { kind: 'filter.set', payload: { id: 'f1', name: 'Late', chosen: { year: ['2026'] } } },
  { kind: 'study.bind', payload: { id: 'st', name: 'One trial', records: ['i/1'] } },
  { kind: 'contact.set', payload: { id: 'c1', sourceId: 's', who: 'A. Quill', way: 'letter', what: '' } },
  { kind: 'page.set', payload: page('w1') },
  { kind: 'quote.set', payload: { id: 'q1', recordId: 'i/1', text: 'Loud.', page: '7' } },
  { kind: 'protocol.freeze', payload: { id: 'v1', at: AT, readers: 2 } },
  { kind: 'advice.leave', payload: { key: 'few-terms/words', reason: 'so be it' } },
  { kind: 'searchreview.comment', payload: { reader: 'p-2', id: 'k', sourceId: 's', text: 'too narrow' } },
]

/** One of each kind that can be undone, each of which changes the review above. */
const EXAMPLES: {
  [
    K in Exclude<
      CommandKind,
      | 'review.create'
      | 'run.log'
      | 'person.named'
      | 'journal.goOver'
      | 'side.take'
      | 'records.export'
      | 'journal.from'
      | 'lookup.log'
      | 'package.deposit'
      | 'selection.rule'
      | 'undo'
      | 'redo'
    >
  ]: CommandOf<K>['payload']
} = {
  'review.rename': { title: 'Loudness' },
  'question.set': { text: 'How loud is it?' },
  'framework.set': { framework: 'PEO' },
  'pick.add': { id: 'q', conceptId: 'a', start: 4, end: 8, text: 'loud' },
  'pick.remove': { id: 'p' },
  'concept.set': { id: 'b', letter: 'B', name: 'Loudness', essential: false, note: '' },
  'concept.remove': { id: 'a' },
  'alternatives.set': { id: 'alt', conceptIds: ['b', 'a'] },
  'alternatives.remove': { id: 'alt0' },
  'limit.set': { id: 'l', limit: { kind: 'peer reviewed' }, reason: 'judged by others' },
  'limit.remove': { id: 'l' },
  'criterion.set': { id: 'd', text: 'Was it a class?', pass: 'close', sense: 'in' },
  'criterion.remove': { id: 'c' },
  'source.set': { id: 's', kind: 'database', name: 'Harbour Abstracts', why: 'it is near' },
  'source.remove': { id: 's' },
  'known.add': { items: [known('k2')] },
  'known.set': known('k', 'Another title'),
  'known.remove': { id: 'k' },
  'gap.set': { id: 'g', conceptId: 'a', sourceId: 's', about: 'noise' },
  'gap.remove': { id: 'g' },
  'vocabulary.import': {
    id: 'v2',
    sourceId: 's',
    title: 'V2',
    version: '',
    file: 'v.txt',
    format: 'term list',
    digest: DIGEST,
    headings: 2,
    remarks: 1,
    at: AT,
  },
  'vocabulary.remove': { id: 'v' },
  'profile.set': PROFILES.quayside!,
  'terms.set': { terms: [term('t', 'b'), term('u')] },
  'term.set': term('u'),
  'term.remove': { id: 't' },
  'strategy.draft': { sourceId: 's', lines: [] },
  'line.add': { sourceId: 's', line: line('4', '#3'), at: 0 },
  'line.change': {
    sourceId: 's',
    id: '1',
    text: 'noise OR hum',
    note: 'wider',
    limits: [{ kind: 'peer reviewed' }],
    conceptId: 'a',
    described: 'x',
  },
  'line.move': { sourceId: 's', id: '2', to: 0 },
  'lines.remove': { sourceId: 's', ids: ['3', '2'] },
  'strategy.set': { sourceId: 's', lines: [line('9', 'reading')], why: 'a pasted history' },
  'line.remove': { sourceId: 's', id: '3' },
  'searchreview.answer': { reader: 'p-2', element: 'headings', verdict: 'none', words: '' },
  'searchreview.comment': { reader: 'p-2', id: 'k2', sourceId: 's', lineId: '1', of: 'noise', text: 'wider' },
  'searchreview.withdraw': { reader: 'p-2', id: 'k' },
  'searchreview.finish': { reader: 'p-2', as: 'subject librarian', at: AT },
  'searchreview.settle': { reader: 'p-2', id: 'k', said: AT, as: 'declined', reason: 'it is meant so' },
  'remark.leave': { id: 'm', sourceId: 's', key: 'dead-line/1', message: 'No hits.', reason: 'on purpose' },
  'remark.raise': { id: 'm' },
  'records.import': { id: 'i2', sourceId: 's', digest: DIGEST, count: 2, at: AT },
  'import.remove': { id: 'i' },
  'partition.set': { rules: 1, imports: ['i'], digest: DIGEST },
  'pair.join': { a: 'i/1', b: 'i/2' },
  'pair.part': { a: 'i/2', b: 'i/1', why: 'two studies' },
  'round.begin': { id: 'r2', kind: 'update', why: 'half a year later' },
  'attachment.add': { ...attachment, id: 'e2' },
  'attachment.remove': { id: 'e' },
  'ruling.set': { recordId: 'i/1', pass: 'broad', reader: 'p-1', verdict: 'out' },
  'ruling.remove': { recordId: 'i/1', pass: 'broad', reader: 'p-1' },
  'account.telling': { order: 'time', length: 'short' },
  'account.voice': { voice: 'passive' },
  'account.edit': { passage: 'terms', content: [{ type: 'paragraph' }] },
  'account.redraft': { passage: 'records' },
  'record.mend': { importId: 'i', position: 2, digest: DIGEST },
  'value.choose': { recordId: 'i/1', field: 'title' },
  'group.set': { id: 'g2', name: 'Another' },
  'group.put': { id: 'g1', records: ['i/1'], in: true },
  'group.remove': { id: 'g1' },
  'filter.set': { id: 'f2', name: 'Loud', words: 'noise' },
  'filter.remove': { id: 'f1' },
  'ruling.many': {
    records: ['i/1'],
    pass: 'broad',
    reader: 'p-1',
    verdict: 'out',
    because: 'no study',
    which: 'type',
  },
  'ruling.settle': { recordId: 'i/1', pass: 'broad', verdict: 'in', by: 'p-1', how: 'by talking' },
  'criteria.version': { id: 'v1', name: 'after the first fifty', at: AT },
  'order.choose': { pass: 'broad', order: 'chance', seed: 's1', at: AT },
  'reading.ask': {
    id: 'a2',
    pass: 'broad',
    called: 'group: sample of 50',
    records: ['i/1'],
    at: AT,
    by: 'p-1',
  },
  'retrieval.set': { recordId: 'i/1', state: 'loan asked', asked: '2026-11-20', due: '2026-11-25' },
  'study.bind': { id: 'st2', name: 'Another', records: ['i/1'] },
  'study.part': { id: 'st' },
  'step.follow': { id: 'sp', sourceId: 's', of: ['i/1'], named: 3, known: 1, at: AT },
  'contact.set': { id: 'c2', sourceId: 's', who: 'R. Ahola', way: 'mail', what: 'two reports' },
  'contact.remove': { id: 'c1' },
  'page.set': page('w2'),
  'page.remove': { id: 'w1' },
  'quote.set': { id: 'q2', recordId: 'i/1', text: 'Quiet.', page: '9' },
  'quote.remove': { id: 'q1' },
  'protocol.freeze': { id: 'v2', at: AT, readers: 1 },
  'protocol.amend': { id: 'v2', at: AT, readers: 3, why: 'a third reader joined' },
  'protocol.register': { place: 'our faculty', number: 'B-12' },
  'departure.explain': { key: 'limit:l', reason: 'the rules changed' },
  'advice.leave': { key: 'long-sentence/where', reason: 'it reads well' },
  'advice.resume': { key: 'few-terms/words' },
  'text.freeze': { id: 't', name: 'as sent', at: AT, digest: DIGEST, journal: DIGEST, purpose: 'submission' },
  'text.read': { at: AT, facts: { question: 'How loud?' } },
  'person.same': { a: 'p-1', b: 'p-2', why: 'I worked at home' },
  'run.reread': { runId: 'run', reading: 'noise OR hum', why: 'the sign stands for any letter' },
  'strategy.counts': { sourceId: 's', lineId: '2', why: 'its records were brought in' },
  'heading.noted': {
    id: 'h',
    sourceId: 's',
    label: 'Noise',
    broader: ['Sound'],
    narrower: [],
    related: [],
    usedFor: ['din'],
    day: '2026-11-25',
    from: 'page',
  },
  'way.log': {
    id: 'w',
    sourceId: 's',
    where: 'the shelf of the institute',
    how: 'looked along it',
    day: '2026-11-25',
    lookedThrough: 40,
    named: 3,
    known: 1,
    taken: 2,
    stopped: 'at the end',
  },
  'reading.plan': { pass: 'broad', way: 'a share by two', share: 0.2 },
  'stop.rule': {
    id: 'stop',
    pass: 'broad',
    agreed: 'a hundred in a row that are out',
    at: AT,
    sample: ['i/1'],
  },
  'value.set': { recordId: 'i/1', field: 'title', value: 'Rooms' },
  'work.relate': { a: 'i/1', b: 'i/2', how: 'notice of' },
}
const examples = Object.entries(EXAMPLES).map(([kind, payload]) => ({ kind, payload }) as Command)
const reviewOf = (commands: readonly Command[]) => {
  const folded = fold(journalOf(commands))
  expect(folded.problems).toEqual([])
  return folded.review
}

describe('every command', () => {
  it.each(examples.map((c) => [c.kind, c] as const))(
    '%s changes the review, and undo brings it back',
    (_kind, command) => {
      expect(Command.safeParse(command).error).toBeUndefined()
      const before = reviewOf(BEGUN)
      const after = reviewOf([...BEGUN, command])
      expect(after).not.toEqual(before)
      const undone: Command[] = [...BEGUN, command, { kind: 'undo', payload: { seq: BEGUN.length } }]
      expect(reviewOf(undone)).toEqual(before)
      expect(reviewOf([...undone, { kind: 'redo', payload: { seq: BEGUN.length } }])).toEqual(after)
    },
  )

  it.each(examples.map((c) => [c.kind, c] as const))(
    '%s on an empty review harms nothing',
    (_kind, command) => {
      expect(() => reviewOf([BEGUN[0]!, command])).not.toThrow()
    },
  )

  it('has its words in the journal, and an example here unless it stays whatever is undone', () => {
    // What is taken in from another lies beside the journal; it has tests of its own.
    const undoable = (Object.keys(KINDS) as CommandKind[]).filter(
      (kind) => KINDS[kind].undo === 'yes' && kind !== 'side.take',
    )
    expect(examples.map((c) => c.kind).sort()).toEqual([...undoable].sort())
    for (const { words } of Object.values(KINDS))
      for (const said of Object.values(words)) expect(said).toMatch(/^[a-z ,]+$/)
  })

  it('keeps references right when lines come, move and go', () => {
    const texts = (...commands: Command[]) =>
      reviewOf([...BEGUN, ...commands]).strategies.s!.map((l) => l.text)
    const ask = <K extends keyof typeof EXAMPLES>(kind: K, payload: (typeof EXAMPLES)[K]) =>
      texts({ kind, payload } as unknown as Command)
    expect(ask('line.add', { sourceId: 's', line: line('0', 'rooms'), at: 0 })).toEqual([
      'rooms',
      'noise',
      'class',
      '#2 AND #3',
    ])
    expect(ask('line.move', { sourceId: 's', id: '2', to: 0 })).toEqual(['class', 'noise', '#2 AND #1'])
    expect(ask('line.move', { sourceId: 's', id: 'gone', to: 0 })).toEqual(['noise', 'class', '#1 AND #2'])
    expect(ask('line.remove', { sourceId: 's', id: '3' })).toEqual(['noise', 'class'])
  })

  it('marks a line as no longer drafted once its text is another', () => {
    const changed = (payload: CommandOf<'line.change'>['payload']) =>
      reviewOf([...BEGUN, { kind: 'line.change', payload }]).strategies.s![0]!.drafted
    expect(changed({ sourceId: 's', id: '1', text: 'noise' })).toBe(true)
    expect(changed({ sourceId: 's', id: '1', note: 'a note' })).toBe(true)
    expect(changed({ sourceId: 's', id: '1', text: 'hum' })).toBe(false)
  })
})
