import { beforeEach, describe, expect, it, vi } from 'vitest'
import { digestOf } from '@/core/base'
import { emptyRecord, type Rec } from '@/core/records'
import {
  inMemory,
  openPackage,
  packReview,
  verifyJournal,
  type Import,
  entryDigest,
  FIRST_DIGEST,
  type Entry,
} from '@/core/review'
import { BEGUN, browser, type Browser } from './store.fixture'
import type { Session, Store } from './store'

let home: Browser
let store: Store
beforeEach(() => {
  home = browser()
  store = home.tab()
})
const now = (): Session => store.session.getState()
const works = () => now().told.ruled.works.works
const shelf = () => now().shelf!.map((i) => [i.title, i.putAway !== undefined])
const record = (id: string, doi?: string): Rec => ({
  ...emptyRecord(id, `Title ${id}`),
  ...(doi ? { doi } : {}),
})
/** What is loaded in the background (works, the line on the shelf) has come. */
const until = (ready: () => boolean): Promise<void> =>
  vi.waitFor(() => expect(ready()).toBe(true), { timeout: 5000 })

async function begun(title: string): Promise<string> {
  await store.openShelf()
  const id = await store.createReview(title)
  expect(await store.openReview(id)).toBe(true)
  return id
}
async function bring(sourceId: string, ...records: Rec[]): Promise<string> {
  const id = `import-${sourceId}-${records.length}`
  await store.lay(async ({ keepRecords }) =>
    store.act('records.import', {
      id,
      sourceId,
      ...(await keepRecords(records)),
      count: records.length,
      at: '2026-11-25T09:00:00Z',
    }),
  )
  return id
}

const asFile = (bytes: Uint8Array): Blob => new Blob([bytes as Uint8Array<ArrayBuffer>])

describe('the open review', () => {
  it('begins empty on the shelf, and is found again by its id', async () => {
    const id = await begun('Sound and reading')
    expect(shelf()).toEqual([['Sound and reading', false]])
    expect(now()).toMatchObject({
      reviewId: id,
      state: 'saved',
      folded: { review: { title: 'Sound and reading' } },
    })
    expect(await store.openReview('no such review')).toBe(false)
  })

  it('does one command or several, takes them back and does them again, each in the name of who reads', async () => {
    await begun('R')
    await store.setReader('A. Quill')
    await store.act('question.set', { text: 'How loud is it?' })
    await store.actAll([
      { kind: 'review.rename', payload: { title: 'Loudness' } },
      { kind: 'framework.set', payload: { framework: 'PEO' } },
    ])
    expect(now().folded.review).toMatchObject({
      question: 'How loud is it?',
      title: 'Loudness',
      framework: 'PEO',
    })
    expect(
      now()
        .entries.slice(BEGUN)
        .map((e) => e.by),
    ).toEqual(Array(4).fill(now().person))
    expect(now().folded.review.people).toEqual([{ id: now().person, name: 'A. Quill' }])
    await store.undo()
    expect(now().folded.review).toMatchObject({ question: 'How loud is it?', title: 'R' })
    await store.redo()
    expect(now().folded.review).toMatchObject({ title: 'Loudness', framework: 'PEO' })
    expect(verifyJournal(now().entries)).toEqual([])
  })

  it('shows the works behind the records that were brought in, and lets go of them with their import', async () => {
    await begun('R')
    const first = await bring('one', record('1', '10.5555/a'), record('2'))
    await until(() => works().length === 2)
    await bring('two', record('9', '10.5555/A'))
    await until(() => works()[0]?.sources.length === 2)
    await store.act('ruling.set', {
      recordId: works()[0]!.id,
      pass: 'broad',
      reader: 'x',
      verdict: 'in',
    })
    await store.act('import.remove', { id: first })
    await until(() => works().length === 1)
    // The ruling names a record that was taken out, and holds of the work that it stood for.
    expect(now().told.figures).toMatchObject({ lostRulings: 0, broad: { in: 1 } })
    await store.undo()
    await until(() => works().length === 2)
    expect(now().told.figures).toMatchObject({ lostRulings: 0, broad: { in: 1 } })
  })

  it('is packed with everything that lies beside its journal, and comes back from the package', async () => {
    const id = await begun('To be packed')
    await bring('one', record('1'), record('2'))
    const bytes = await store.packOpenReview()
    const opened = await openPackage(inMemory(bytes))
    expect(opened.ok && opened.value.digests.length).toBe(1)
    // Here already, with the same history: it is the same review.
    expect(await store.takePackage(asFile(bytes))).toMatchObject({ ok: true, value: id })
    await store.act('question.set', { text: 'Longer here than in the package' })
    expect(await store.takePackage(asFile(bytes))).toMatchObject({ ok: true, value: id })
    expect(now().folded.review.question).toBe('Longer here than in the package')
    await store.deleteReview(id)
    expect(await store.takePackage(asFile(bytes))).toMatchObject({ ok: true, value: id })
    expect(now().shelf).toMatchObject([{ id, title: 'To be packed', demo: false }])
    expect((await store.takePackage(asFile(bytes.slice(0, 40)))).problems[0]!.message).toContain(
      'it is not a zip archive',
    )
  })

  it('does not let a package take the place of another history of the same review', async () => {
    const id = await begun('R')
    await store.act('question.set', { text: 'one way' })
    const one = await store.packOpenReview()
    await store.deleteReview(id)
    const base = await openPackage(inMemory(one))
    if (!base.ok) throw new Error('the package does not open')
    // The same beginning, gone on with in another way.
    await store.takePackage(
      asFile(packReview({ entries: base.value.entries.slice(0, 1), blobs: new Map() }, 'R')),
    )
    await store.openReview(id)
    await store.act('question.set', { text: 'another way' })
    const taken = await store.takePackage(asFile(one))
    expect(taken.ok).toBe(false)
    expect(taken.problems[0]).toMatchObject({ code: 'parted', at: id })
    expect(taken.problems[0]!.message).toContain('on the shelf already')
    expect(now().folded.review.question).toBe('another way')

    // Kept both, each goes on for itself under an id of its own; the review that both are has one.
    const both = await store.takePackage(asFile(one), { beside: true })
    expect(both).toMatchObject({ ok: true, value: `${id}~2` })
    await store.openReview(`${id}~2`)
    expect([now().reviewId, now().folded.review.id]).toEqual([`${id}~2`, id])
    expect(now().folded.review.question).toBe('one way')
    await store.act('question.set', { text: 'one way, gone on with' })
    const goneOn = await store.packOpenReview()
    await store.openReview(id)
    expect(now().folded.review.question).toBe('another way')
    // A package goes on in the copy whose journal it has, also when it is ahead of it.
    await store.deleteReview(`${id}~2`)
    expect(await store.takePackage(asFile(one), { beside: true })).toMatchObject({ value: `${id}~2` })
    expect(await store.takePackage(asFile(goneOn))).toMatchObject({ ok: true, value: `${id}~2` })
    await store.openReview(`${id}~2`)
    expect(now().folded.review.question).toBe('one way, gone on with')
    await store.openReview(id)
    expect(now().folded.review.question).toBe('another way')
    expect(
      now()
        .shelf!.map((s) => s.id)
        .sort(),
    ).toEqual([id, `${id}~2`])
  })

  it('is put away with everything, taken back, and only then removed', async () => {
    const id = await begun('R')
    await store.act('question.set', { text: 'kept?' })
    await store.putAway(id)
    expect(shelf()).toEqual([['R', true]])
    await store.openShelf()
    expect(shelf()).toEqual([['R', true]])
    await store.takeBack(id)
    expect(shelf()).toEqual([['R', false]])
    await store.deleteReview(id)
    await store.openShelf()
    expect(now().shelf).toEqual([])
    await store.putAway(id)
    expect(now().shelf).toEqual([])
  })
})

describe('the shelf', () => {
  it('shows what is left of a damaged line beside the others, and writes it anew when its review is opened', async () => {
    const id = await begun('Sound and reading')
    await begun('Other')
    const db = await home.look()
    for (const line of [{ id }, { id: 'x', title: 7, figures: 'many', at: null }])
      await db.put('shelf', line as never)
    const fresh = home.tab()
    await fresh.openShelf()
    const lines = (): [string, boolean][] =>
      (fresh.session.getState().shelf ?? []).map((l) => [l.title, l.damaged === true])
    expect(lines()).toEqual([
      ['Other', false],
      ['', true],
      ['', true],
    ])
    await fresh.openReview(id)
    await expect.poll(lines).toContainEqual(['Sound and reading', false])
  })
})

describe('what lies beside the journal', () => {
  it('is missed aloud where this browser has lost it, and put back from a package', async () => {
    const id = await begun('R')
    await bring('s', record('1'), record('2'))
    const bytes = await store.packOpenReview()
    const { digest } = now().folded.review.imports[0]!
    const other = await begun('Other')
    const fresh = home.tab()
    await (await home.look()).delete('blobs', digest)
    await fresh.openShelf()
    await fresh.openReview(id)
    expect(fresh.session.getState()).toMatchObject({ lost: 2, told: { figures: { works: 0 } } })
    await fresh.takePackage(asFile(bytes))
    await fresh.openReview(other)
    expect(fresh.session.getState().lost).toBe(0)
    await fresh.openReview(id)
    expect(fresh.session.getState()).toMatchObject({ lost: 0, told: { figures: { works: 2 } } })
  })

  it('goes with the last review that needs it', async () => {
    const shared = [record('1')]
    const one = await begun('One')
    await bring('s', ...shared)
    await bring('t', record('2'))
    const own = now().folded.review.imports[1]!.digest
    const both = now().folded.review.imports[0]!.digest
    const two = await begun('Two')
    await bring('s', ...shared)
    await store.deleteReview(one)
    expect(await store.bytesOf(own)).toBeUndefined()
    expect(await store.bytesOf(both)).toBeDefined()
    await store.deleteReview(two)
    expect(await store.bytesOf(both)).toBeUndefined()
  })

  it('is found under its digest, the same bytes once', async () => {
    const bytes = new TextEncoder().encode('a note')
    const keep = (): Promise<string> => store.lay(({ keepBytes }) => keepBytes(bytes))
    const digest = await keep()
    expect(await keep()).toBe(digest)
    expect(await store.bytesOf(digest)).toEqual(bytes)
    expect(await store.bytesOf('nothing')).toBeUndefined()
    const at = (digest: string) => ({ digest }) as Import
    expect(await store.recordsOf(at('nothing'))).toBeUndefined()
    const records = [{ ...record('1'), abstract: 'Loud rooms. '.repeat(200), extra: { ZZ: ['kept'] } }]
    const blocks = await store.lay(({ keepRecords }) => keepRecords(records))
    expect(Object.keys(blocks).sort()).toEqual(['abstracts', 'digest', 'unread'])
    expect(await home.tab().recordsOf(blocks as Import)).toEqual(records)
  })
})

describe('what is laid down beside a journal', () => {
  const laid = new TextEncoder().encode('a note that no entry names yet')

  it('is safe from the sweep while its entry is not written, and swept away when it never is', async () => {
    await begun('R')
    let digest = ''
    await store.lay(async ({ keepBytes }) => {
      digest = await keepBytes(laid)
      // Another tab tidies up meanwhile.
      expect(await home.tab().sweep()).toBe(0)
      expect(await store.bytesOf(digest)).toBeDefined()
    })
    expect(await home.tab().sweep()).toBe(1)
    expect(await store.bytesOf(digest)).toBeUndefined()
  })

  it('is spared by the sweep where any entry reaches it, undone ones included', async () => {
    await begun('R')
    await bring('one', { ...record('1'), abstract: 'Loud rooms.' })
    await store.undo()
    expect(now().folded.review.imports).toEqual([])
    expect(await store.sweep()).toBe(0)
    await store.redo()
    const [brought] = now().folded.review.imports
    expect(await home.tab().recordsOf(brought!)).toMatchObject([{ id: '1', abstract: 'Loud rooms.' }])
  })
})

describe('a review of the first form', () => {
  /** A journal as the first form wrote it, with records in one block. */
  const block = new TextEncoder().encode(JSON.stringify([record('1', '10.5555/a'), record('2')]))
  const commands = [
    { kind: 'review.create', payload: { id: 'old', title: 'Old' } },
    {
      kind: 'records.import',
      payload: { id: 'x', sourceId: 's', digest: digestOf(block), count: 2, at: '2026-11-16T09:00:00Z' },
    },
    { kind: 'ruling.set', payload: { workId: 's:2', pass: 'broad', reader: 'A. Quill', verdict: 'in' } },
    { kind: 'question.set', payload: { text: 'How loud?' } },
  ]
  const entries = commands.reduce<Entry[]>((all, { kind, payload }) => {
    const entry = {
      seq: all.length,
      at: `2026-11-16T09:0${all.length}:00.000Z`,
      by: 'A. Quill',
      v: 5,
      kind,
      payload,
    }
    return [...all, { ...entry, digest: entryDigest(all.at(-1)?.digest ?? FIRST_DIGEST, entry) }]
  }, [])
  const packed = packReview({ entries, blobs: new Map([[digestOf(block), block]]) }, 'Old')

  it('opens as it was, is undone in its own form, and goes over when it is next written to', async () => {
    await store.openShelf()
    await store.setReader('A. Quill')
    expect(await store.takePackage(asFile(packed))).toMatchObject({ ok: true, value: 'old' })
    await store.openReview('old')
    expect(now().told.figures).toMatchObject({ identified: 2, works: 2, broad: { in: 1, left: 1 } })
    await store.undo()
    expect([now().entries.at(-1)!.v, now().folded.review.question]).toEqual([5, ''])
    await store.act('question.set', { text: 'How loud is it?' })
    expect(
      now()
        .entries.slice(5)
        .map((e) => e.kind),
    ).toEqual(['person.named', 'journal.goOver', 'question.set'])
    expect(verifyJournal(now().entries)).toEqual([])
    // Who works here bore this name: it is one person, and what they ruled is theirs.
    expect(now().folded.review.people).toEqual([{ id: now().person, name: 'A. Quill', was: ['A. Quill'] }])
    expect(now().told.figures).toMatchObject({
      works: 2,
      broad: { in: 1 },
      readers: { broad: [now().person] },
    })
    await store.undo()
    expect(store.nextUndo()).toBeUndefined()
    // The state that it went over with lies beside it, is spared by the sweep, and goes with the package.
    expect(await store.sweep()).toBe(0)
    const again = await openPackage(inMemory(await store.packOpenReview()))
    expect(again.ok && again.value.digests.length).toBe(2)
    const next = home.tab()
    await next.openReview('old')
    expect(next.session.getState().folded.review).toEqual(now().folded.review)
  })

  it('goes over once, however two tabs write to it at the same time', async () => {
    await store.openShelf()
    await store.takePackage(asFile(packed))
    const other = home.tab()
    await other.openShelf()
    await Promise.all([store.openReview('old'), other.openReview('old')])
    await Promise.all([
      store.act('review.rename', { title: 'One' }),
      other.act('framework.set', { framework: 'PEO' }),
      store.act('account.voice', { voice: 'I' }),
    ])
    await until(() => other.session.getState().entries.length === now().entries.length)
    expect(now().entries.filter((e) => e.kind === 'journal.goOver')).toHaveLength(1)
    expect(verifyJournal(now().entries)).toEqual([])
    expect(now().folded.review).toMatchObject({ title: 'One', framework: 'PEO', account: { voice: 'I' } })
    expect(other.session.getState().folded.review).toEqual(now().folded.review)
  })

  it('goes over in the name of one who says that they wrote it, as one person with an id', async () => {
    await store.openShelf()
    await store.takePackage(asFile(packed))
    await store.openReview('old')
    const [first] = now().asksName!.known!
    await store.iAm(first!)
    store.nameGiven()
    await store.act('review.rename', { title: 'One' })
    const own = now().person
    expect(own).toMatch(/^p-/)
    expect(now().folded.review.people.filter((p) => p.name === first!.name)).toEqual([
      expect.objectContaining({ id: own }),
    ])
    expect(now().entries.at(-1)!.by).toBe(own)
  })
})

describe('who works on a review', () => {
  it('is asked where others did in another browser; one of them stays one person, and is remembered', async () => {
    await begun('R')
    await store.setReader('M. Osei')
    await store.act('question.set', { text: 'How loud is it?' })
    const first = now().person
    const file = asFile(await store.packOpenReview())
    const other = browser().tab()
    await other.openShelf()
    const taken = await other.takePackage(file)
    if (!taken.ok) throw new Error('not taken')
    await other.openReview(taken.value)
    const { asksName, person } = other.session.getState()
    expect(asksName).toMatchObject({ why: 'open', known: [{ id: first, name: 'M. Osei' }] })
    expect(person).not.toBe(first)
    await other.iAm(asksName!.known![0]!)
    other.nameGiven()
    await other.act('question.set', { text: 'How loud is it there?' })
    expect(other.session.getState()).toMatchObject({ person: first, reader: 'M. Osei' })
    expect(other.session.getState().entries.at(-1)!.by).toBe(first)
    expect(other.session.getState().folded.review.people).toHaveLength(1)
    // The next time nothing is asked.
    await other.openReview(taken.value)
    expect(other.session.getState()).toMatchObject({ person: first, asksName: undefined })
  })

  it('who is somebody new has an id of their own, and nobody is asked in a review that they began', async () => {
    await begun('R')
    expect(now().asksName).toBeUndefined()
    const file = asFile(await store.packOpenReview())
    const other = browser().tab()
    await other.openShelf()
    const taken = await other.takePackage(file)
    if (!taken.ok) throw new Error('not taken')
    await other.openReview(taken.value)
    const own = other.session.getState().person
    let went = 0
    other.nameGiven()
    // Who closed the question is asked again before anything is done in a name.
    other.inName(() => went++)
    expect(other.session.getState().asksName?.known).toHaveLength(1)
    await other.iAm('new')
    other.nameGiven()
    await other.setReader('A. Quill')
    other.inName(() => went++)
    expect([went, other.session.getState().person]).toEqual([1, own])
  })
})
