import { describe, expect, it, vi } from 'vitest'
import { fold, inMemory, openPackage, packReview, verifyJournal, nextEntry, type Entry } from '@/core/review'
import { canonicalJson, digestOf } from '@/core/base'
import { FAULT_WORDS, faultAtWork, faultOfState } from './fault-words'
import { BEGUN, bringTwo, browser, type Browser } from './store.fixture'
import type { Store } from './store'

const view = (store: Store) => store.session.getState()
const fault = (store: Store) => faultOfState(view(store).state, view(store).fault)

/** Each fault: how it comes about, and what takes it away. */
const FAULTS = {
  full: {
    begin: (home: Browser) => {
      home.failing = { with: new DOMException('no room', 'QuotaExceededError') }
    },
    recovers: true,
  },
  terminated: {
    begin: (home: Browser) => home.troubles.at(-1)!.onTerminated(),
    recovers: true,
  },
  deleted: {
    begin: async (home: Browser) => {
      home.troubles.at(-1)!.onBlocking(true)
      const db = await home.look()
      const tx = db.transaction(['entries', 'blobs', 'shelf', 'snapshots', 'pending'], 'readwrite')
      await Promise.all(
        (['entries', 'blobs', 'shelf', 'snapshots', 'pending'] as const).map((s) =>
          tx.objectStore(s).clear(),
        ),
      )
      await tx.done
    },
    recovers: true,
  },
  newer: {
    begin: (home: Browser) => {
      home.failing = { with: new DOMException('a newer one', 'VersionError') }
      home.troubles.at(-1)!.onBlocking(false)
    },
    recovers: false,
  },
} as const
type Name = keyof typeof FAULTS

async function working(): Promise<{ home: Browser; store: Store; id: string }> {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  const home = browser()
  const store = home.tab()
  const id = await store.createReview('R')
  await store.openReview(id)
  await bringTwo(store)
  return { home, store, id }
}

const asFile = (bytes: Uint8Array): Blob => new Blob([bytes as Uint8Array<ArrayBuffer>])

describe.each(Object.keys(FAULTS) as Name[])('a storage that is %s', (name) => {
  it('while a review is opened or begun: the opening ends, and says why', async () => {
    const { home, id } = await working()
    const next = home.tab()
    await next.openShelf()
    await FAULTS[name].begin(home)
    if (name === 'full') await expect(next.createReview('Another')).rejects.toThrow()
    const fresh = home.tab()
    const found = await fresh.openReview(id)
    // What is on disk can be opened without room for more; what was removed is not there; what a newer one has is not to be had.
    if (name === 'full') expect(view(fresh).fault).toBe('full')
    if (name === 'terminated') expect(view(fresh).reviewId).toBe(id)
    if (name === 'deleted') expect(found).toBe(false)
    if (name === 'newer') expect(view(fresh).failed).toBeTruthy()
    expect(FAULT_WORDS[name].open).toMatch(/\.$/)
  })

  it('while one works: what is done stays on the screen, what is said is true, and it is written when that is possible', async () => {
    const { home, store, id } = await working()
    await FAULTS[name].begin(home)
    const done = store.act('question.set', { text: 'done in the fault' })
    expect(view(store).folded.review.question).toBe('done in the fault')
    if (name === 'full' || name === 'newer') {
      await vi.waitFor(() => expect(fault(store)).toBe(name))
      expect(view(store).state).not.toBe('saved')
      expect(faultAtWork(name, true)).toContain('not yet on disk')
      home.failing = undefined
      store.retrySave()
    }
    await done
    expect(view(store).state).toBe('saved')
    expect(fault(store)).toBeUndefined()
    const db = await home.look()
    const entries = (await db.getAll('entries')).filter((e) => e.reviewId === id)
    expect(entries).toHaveLength(BEGUN + 2)
    expect(verifyJournal(entries.map(({ reviewId: _, ...e }) => e))).toEqual([])
  })

  it('while saving what can be saved: the package holds everything on the screen, written or not, and typed or not', async () => {
    const { home, store } = await working()
    await FAULTS[name].begin(home)
    if (!FAULTS[name].recovers || name === 'full') {
      store.act('question.set', { text: 'not written' }).catch(() => undefined)
      await vi.waitFor(() => expect(view(store).state).not.toBe('saving'))
    } else await store.act('question.set', { text: 'not written' })
    store.typeEdit('title', { kind: 'review.rename', payload: { title: 'half a ti' } })
    const opened = await openPackage(inMemory(await store.packOpenReview()))
    if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
    expect(fold(opened.value.entries).review).toMatchObject({ question: 'not written', title: 'half a ti' })
    expect(opened.value.digests.length).toBe(1)
    expect(FAULT_WORDS[name].rescue).toContain('package')
  })
})

/** Lets two seconds pass by the clock of the page, and what is read from the storage meanwhile be there. */
async function rested(): Promise<void> {
  for (let n = 0; n < 40; n++) await vi.advanceTimersByTimeAsync(50)
}

describe('a journal that was damaged on disk', () => {
  const damagedBy = async (change: (entry: Entry & { reviewId: string }) => unknown) => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'], shouldAdvanceTime: true })
    const { home, store, id } = await working()
    await store.act('question.set', { text: 'as it was' })
    const db = await home.look()
    const entry = (await db.get('entries', [id, BEGUN + 1]))!
    await db.put('entries', change(entry) as never)
    const next = home.tab()
    await next.openReview(id)
    await rested()
    vi.useRealTimers()
    return view(next)
  }

  it('opens, and names the entry that was changed', async () => {
    const { damage, folded } = await damagedBy((e) => ({ ...e, payload: { text: 'changed' } }))
    expect(folded.review.question).toBe('changed')
    expect(damage[0]!.message).toContain(`Entry ${BEGUN + 1}`)
  })

  it('opens, and names an entry of a version that does not exist or is newer than this one', async () => {
    for (const change of [{ v: 0 }, { v: 9, kind: 'mind.read', payload: {} }]) {
      const { damage, reviewId } = await damagedBy((e) => ({ ...e, ...change }))
      expect(reviewId).toBeDefined()
      expect(damage[0]!.message).toContain(`Entry ${BEGUN + 1}`)
    }
  })

  it('opens, and says how many entries of its end are gone, which the chain cannot tell', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'], shouldAdvanceTime: true })
    const { home, store, id } = await working()
    for (const text of ['one', 'two', 'three']) await store.act('question.set', { text })
    // The line of the shelf is written when the deeds rest.
    await rested()
    const db = await home.look()
    const { length } = view(store).entries
    for (const seq of [length - 2, length - 1]) await db.delete('entries', [id, seq])
    await db.clear('snapshots')
    const next = home.tab()
    await next.openReview(id)
    await rested()
    vi.useRealTimers()
    expect(view(next).folded.review.question).toBe('one')
    expect(view(next).damage.map((d) => d.message)).toEqual([
      `The end of this journal is gone: 2 entries behind entry ${length - 2} are no longer in the storage of this browser.`,
    ])
  })

  it('is none where what an entry says was left out on purpose', async () => {
    const { damage, folded } = await damagedBy(({ payload: _payload, salt: _salt, ...rest }) => rest)
    expect(folded.review.question).toBe('')
    expect(folded.problems).toMatchObject([{ code: 'entry-withheld', severity: 'note' }])
    expect(damage).toEqual([])
  })

  it('opens without the records whose bytes were changed, and counts them', async () => {
    const { home, id } = await working()
    const db = await home.look()
    const blob = (await db.getAll('blobs'))[0]!
    await db.put('blobs', { ...blob, bytes: new TextEncoder().encode('[{"id":"1"}') })
    const next = home.tab()
    await next.openReview(id)
    expect(view(next)).toMatchObject({ reviewId: id, lost: 2, told: { figures: { works: 0 } } })
  })
})

describe('a package that is not what it should be', () => {
  const at = '2026-11-25T09:00:00Z'
  const journal = (...commands: { kind: string; payload: unknown }[]): Entry[] => {
    const entries: Entry[] = []
    for (const c of commands)
      entries.push(nextEntry(entries.at(-1), c as never, { at, by: 'p-1', salt: '0'.repeat(32) }))
    return entries
  }
  const begin = { kind: 'review.create', payload: { id: 'r', title: 'R' } }
  const bring = (digest: string, count = 1) => ({
    kind: 'records.import',
    payload: { id: 'i', sourceId: 's', digest, count, at },
  })
  const bytes = (value: unknown) => new TextEncoder().encode(JSON.stringify(value))
  const withRecords = (value: unknown, count = 1) => {
    const blob = bytes(value)
    const digest = digestOf(blob)
    return packReview(
      { entries: journal(begin, bring(digest, count)), blobs: new Map([[digest, blob]]) },
      'R',
    )
  }
  const cases: Record<string, Uint8Array> = {
    'without a beginning': packReview(
      { entries: journal({ kind: 'review.rename', payload: { title: 'x' } }), blobs: new Map() },
      '',
    ),
    'with a name that is a path': packReview(
      {
        entries: journal({ kind: 'review.create', payload: { id: '../../x?y#z', title: '' } }),
        blobs: new Map(),
      },
      '',
    ),
    'with a name that every object has': packReview(
      {
        entries: journal(begin, {
          kind: 'ruling.set',
          payload: { recordId: '__proto__', pass: 'broad', reader: 'x', verdict: 'in' },
        }),
        blobs: new Map(),
      },
      '',
    ),
    'with a payload that is nothing': packReview(
      { entries: journal(begin, { kind: 'records.import', payload: null }), blobs: new Map() },
      '',
    ),
    'with records that are none': withRecords([{ id: '1', title: 'x', authors: [{ name: 'x' }] }]),
    'with fewer records than it says': withRecords([{ id: '1', title: 'x' }], 7),
    'with a block that is no list': withRecords({ a: 1 }),
    'with brackets without end': (() => {
      const blob = new TextEncoder().encode('['.repeat(200_000))
      const digest = digestOf(blob)
      return packReview({ entries: journal(begin, bring(digest)), blobs: new Map([[digest, blob]]) }, 'R')
    })(),
  }
  it.each(Object.keys(cases))('%s is refused with words, and nothing of it is stored', async (name) => {
    const home = browser()
    const store = home.tab()
    await store.openShelf()
    const taken = await store.takePackage(asFile(cases[name]!))
    expect(taken.ok).toBe(false)
    expect(taken.problems[0]!.message).toMatch(/^[A-Z].*\.$/)
    const db = await home.look()
    expect(await db.count('entries')).toBe(0)
    expect(await db.count('blobs')).toBe(0)
    expect(view(store).shelf).toEqual([])
    expect(Object.keys(Object.prototype)).toEqual([])
  })

  it('with a journal line that is null is refused with words', async () => {
    const whole = await openPackage(inMemory(packReview({ entries: journal(begin), blobs: new Map() }, '')))
    if (!whole.ok) throw new Error('the package does not open')
    const broken = packReview({ entries: [...whole.value.entries, null as never], blobs: new Map() }, '')
    expect((await browser().tab().takePackage(asFile(broken))).problems[0]!.message).toMatch(/\.$/)
  })
})

describe('the shelf', () => {
  it('shows the present title of a review when another is opened at once', async () => {
    const home = browser()
    const store = home.tab()
    const [a, b] = [await store.createReview('A'), await store.createReview('B')]
    await store.openReview(a)
    await store.act('review.rename', { title: 'A renamed' })
    await store.openReview(b)
    await vi.waitFor(() => expect(view(store).shelf!.find((i) => i.id === a)!.title).toBe('A renamed'))
    expect(
      canonicalJson(
        view(store)
          .shelf!.map((i) => i.title)
          .sort(),
      ),
    ).toBe('["A renamed","B"]')
  })
})
