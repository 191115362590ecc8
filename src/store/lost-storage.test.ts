import { afterEach, describe, expect, it, vi } from 'vitest'
import { fold, inMemory, openPackage, snapshotOf, type Entry } from '@/core/review'
import { FAULT_WORDS, faultAtWork, faultOfState } from './fault-words'
import type { Store } from './store'
import { BEGUN, bringTwo, browser, type Browser } from './store.fixture'

const view = (store: Store) => store.session.getState()
const told = (store: Store): string => {
  const { state, fault, missing } = view(store)
  const one = faultOfState(state, fault)
  return one ? faultAtWork(one, state !== 'saved', missing) : ''
}
const STORES = ['entries', 'blobs', 'shelf', 'snapshots', 'pending'] as const

/** A tab with a review of two records; `file`: the file they came in lies beside it, which no memory holds. */
async function working(file = false): Promise<{ home: Browser; store: Store; id: string }> {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  const home = browser()
  const store = home.tab()
  const id = await store.createReview('R')
  await store.openReview(id)
  await store.act('source.set', { id: 's', kind: 'database', name: 'Fen Index', why: '' })
  await bringTwo(store, file ? new TextEncoder().encode('TY  - JOUR') : undefined)
  await vi.waitFor(() => expect(view(store).told.figures.works).toBe(2))
  return { home, store, id }
}

/** All data of the page are removed from the browser, as from its settings. */
async function cleared(home: Browser, how: 'deleted' | 'terminated' | 'in silence'): Promise<void> {
  const db = await home.look()
  const tx = db.transaction([...STORES], 'readwrite')
  await Promise.all(STORES.map((s) => tx.objectStore(s).clear()))
  await tx.done
  if (how === 'deleted') home.troubles.at(-1)!.onBlocking(true)
  if (how === 'terminated') home.troubles.at(-1)!.onTerminated()
}
const onDisk = async (home: Browser, id: string): Promise<Entry[]> =>
  (await (await home.look()).getAll('entries')).filter((e) => e.reviewId === id)

afterEach(() => vi.restoreAllMocks())

describe('a review that is open in a tab', () => {
  it('is not removed by another one, and can be removed when it was left there', async () => {
    const { home, store, id } = await working()
    const other = home.tab()
    await other.openShelf()
    await expect(other.deleteReview(id)).rejects.toThrow('open in another tab')
    await store.act('question.set', { text: 'still here' })
    expect(await onDisk(home, id)).toHaveLength(BEGUN + 3)
    await store.leaveReview()
    await other.deleteReview(id)
    expect(await onDisk(home, id)).toEqual([])
    // What it has in memory is not shown again, nor written.
    expect(await store.openReview(id)).toBe(false)
    expect(await onDisk(home, id)).toEqual([])
  })

  it('can be removed by the tab itself, and is at hand at once when it was only left', async () => {
    const { home, store, id } = await working()
    await store.leaveReview()
    expect(await store.openReview(id)).toBe(true)
    await store.deleteReview(id)
    expect(await onDisk(home, id)).toEqual([])
  })
})

describe.each(['deleted', 'terminated', 'in silence'] as const)('where all data are removed (%s)', (how) => {
  it('a review of which all is in memory is written again whole, with what lies beside it', async () => {
    const { home, store, id } = await working()
    const before = (await (await home.look()).getAllKeys('blobs')).sort()
    await cleared(home, how)
    if (how !== 'in silence') {
      await vi.waitFor(() => expect(view(store).state).toBe('removed'))
      expect(told(store)).toContain('Nothing of this review is on disk now')
    }
    await store.act('question.set', { text: 'after' })
    expect(view(store).state).toBe('saved')
    expect(await onDisk(home, id)).toHaveLength(BEGUN + 3)
    expect((await (await home.look()).getAllKeys('blobs')).sort()).toEqual(before)
  })

  it('one of which something is nowhere any more is not written again, and what it lacks is named', async () => {
    const { home, store, id } = await working(true)
    await cleared(home, how)
    store.act('question.set', { text: 'after' }).catch(() => undefined)
    await vi.waitFor(() => expect(view(store).state).toBe('gone'))
    expect(await onDisk(home, id)).toEqual([])
    expect(told(store)).toContain('Nowhere to be had any more: 1 file.')
    expect(told(store)).not.toContain('on disk.')
    const { bytes, lacks } = await store.rescue()
    expect(lacks).toBe('1 file')
    const opened = await openPackage(inMemory(bytes))
    if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
    expect(fold(opened.value.entries).review.question).toBe('after')
    expect(opened.value.digests).toHaveLength(1)
  })
})

it('a loss stays told until it was seen what it took, also where the storage is not given at first', async () => {
  const { home, store } = await working(true)
  const heard: string[] = []
  store.session.subscribe(() => heard.push(told(store)))
  await cleared(home, 'in silence')
  home.failing = { with: new Error('not now') }
  home.troubles.at(-1)!.onBlocking(true)
  await vi.waitFor(() => expect(home.troubles.length).toBeGreaterThan(1))
  await new Promise((done) => setTimeout(done, 50))
  home.failing = undefined
  await vi.waitFor(() => expect(view(store).state).toBe('gone'), 5000)
  expect(heard.length).toBeGreaterThan(1)
  for (const words of heard) expect(words).toContain('were removed from this browser')
})

it('records that were counted as lost and are written anew are lost no more', async () => {
  const { home, store, id } = await working()
  await store.leaveReview()
  const next = home.tab({ check: async () => 2 })
  await next.openReview(id)
  await vi.waitFor(() => expect(view(next).lost).toBe(2), 5000)
  await cleared(home, 'deleted')
  await next.act('question.set', { text: 'after' })
  await vi.waitFor(() => expect(view(next)).toMatchObject({ state: 'saved', lost: 0 }))
})

it('never says that everything is on disk where nobody looked', () => {
  for (const fault of ['terminated', 'deleted', 'newer', 'refused', 'older tab'] as const)
    expect(faultAtWork(fault, false)).toBe(FAULT_WORDS[fault].work)
})

describe('the state that is kept to open a review faster', () => {
  it('is held against the journal, also where its digests are right: what was forged is named, and not shown', async () => {
    const { home, store, id } = await working()
    const { entries, folded } = view(store)
    const forged = structuredClone(snapshotOf(entries, folded)!)
    forged.folded.review.title = 'FORGED'
    forged.folded.review.imports[0]!.count = 9
    await (await home.look()).put('snapshots', { ...forged, reviewId: id })
    const next = home.tab()
    await next.openReview(id)
    expect(view(next).folded.review.title).toBe('FORGED')
    await vi.waitFor(() => expect(view(next).damage).toHaveLength(2), 5000)
    expect(
      view(next)
        .damage.map((d) => d.message)
        .join(),
    ).toMatch(/changed \(title\).*changed \(imports\)/)
    expect(view(next).folded.review).toMatchObject({ title: 'R', imports: [{ count: 2 }] })
    expect(await (await home.look()).get('snapshots', id)).toBeUndefined()
  })

  it('is believed where it is what the journal says, with deeds taken back before and behind it', async () => {
    const { home, store, id } = await working()
    await store.act('question.set', { text: 'one' })
    await store.undo()
    const { entries, folded } = view(store)
    await (await home.look()).put('snapshots', { ...snapshotOf(entries, folded)!, reviewId: id })
    await store.act('question.set', { text: 'two' })
    const next = home.tab()
    await next.openReview(id)
    await new Promise((done) => setTimeout(done, 2500))
    expect(view(next).damage).toEqual([])
    expect(view(next).folded.review.question).toBe('two')
  })
})
