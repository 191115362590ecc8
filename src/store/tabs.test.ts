import fc from 'fast-check'
import { afterEach, expect, it, vi } from 'vitest'
import { trials } from '@/core/base/trials.fixture'
import type { Entry } from '@/core/review'
import { FAULT_WORDS, faultAtWork, faultOfState } from './fault-words'
import type { Store } from './store'
import { bringTwo, browser, type Browser } from './store.fixture'

const TABS = ['one', 'other'] as const
type Tab = (typeof TABS)[number]
const DEEDS = ['rule', 'type', 'bring', 'leave', 'open', 'put away', 'take back', 'remove', 'clear'] as const
type Deed = (typeof DEEDS)[number]

const orders = fc.array(fc.tuple(fc.constantFrom(...TABS), fc.constantFrom(...DEEDS)), {
  minLength: 2,
  maxLength: 10,
})

const view = (store: Store) => store.session.getState()
/** Everything that stands on the screen of a tab because something is not as it should be. */
function wordsOn(store: Store): string {
  const { state, fault, failed, refused, damage, lost, missing } = view(store)
  const one = faultOfState(state, fault)
  return [
    one && faultAtWork(one, state !== 'saved', missing),
    fault && FAULT_WORDS[fault].open,
    failed,
    refused,
    ...damage.map((d) => d.message),
    lost ? `${lost} records are lost` : '',
  ]
    .filter(Boolean)
    .join(' ')
}
/** What is not on disk after this time waits for the storage: it was not acknowledged. In milliseconds. */
const PATIENCE = 700
const WAITS = Symbol('waits')
const waited = (): Promise<typeof WAITS> => new Promise((done) => setTimeout(() => done(WAITS), PATIENCE))
const entriesOf = async (home: Browser, id: string): Promise<Entry[]> =>
  (await (await home.look()).getAll('entries')).filter((e) => e.reviewId === id)

afterEach(() => vi.restoreAllMocks())

/**
 * Two tabs of one browser, and whatever order of deeds: what was acknowledged in a tab that still shows it is on disk with
 * all that it reaches, or words stand on the screen of that tab.
 */
it('keeps what was acknowledged, or says so, whatever two tabs do in whatever order', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  const met: Record<string, number> = {}
  await fc.assert(
    fc.asyncProperty(orders, async (order) => {
      const home = browser()
      const tabs: Record<Tab, Store> = { one: home.tab(), other: home.tab() }
      const id = await tabs.one.createReview('R')
      for (const tab of TABS) await tabs[tab].openReview(id)
      await tabs.one.act('source.set', { id: 's', kind: 'database', name: 'Fen Index', why: '' })
      /** By tab: the texts that it was told to have kept, and whether records. */
      const kept: { tab: Tab; text?: string; records?: true }[] = []
      let cleared = false
      for (const [n, [tab, deed]] of order.entries()) {
        const store = tabs[tab]
        const text = `${deed} ${n}`
        const done = await Promise.race([doing(home, store, id, deed, text), waited()]).then(
          (how) => how !== WAITS,
          (error: unknown) => {
            // Whatever is refused says why.
            expect(String((error as Error).message).length, deed).toBeGreaterThan(10)
            return false
          },
        )
        met[`${deed}${done ? '' : ', not done'}`] = (met[`${deed}${done ? '' : ', not done'}`] ?? 0) + 1
        if (!done) continue
        if (deed === 'rule' || deed === 'type') kept.push({ tab, text })
        if (deed === 'bring') kept.push({ tab, records: true })
        // Who removes everything, or clears the storage, has taken away what was there before.
        if (deed === 'remove' || deed === 'clear') kept.length = 0
        if (deed === 'clear') cleared = true
      }
      // What is only lost in one tab is found by it as soon as it writes, at the latest.
      for (const tab of TABS)
        if (cleared && view(tabs[tab]).reviewId === id)
          await Promise.race([
            tabs[tab].act('review.rename', { title: `look ${tab}` }).catch(() => undefined),
            waited(),
          ])
      const disk = await entriesOf(home, id)
      const blobs = new Set(await (await home.look()).getAllKeys('blobs'))
      for (const { tab, text, records } of kept) {
        const store = tabs[tab]
        if (view(store).reviewId !== id || wordsOn(store)) continue
        const own = disk.filter((e) =>
          text === undefined ? e.kind === 'records.import' : JSON.stringify(e.payload).includes(text),
        )
        expect(own.length, `${JSON.stringify(order)}: ${text ?? 'records'} of ${tab}`).toBeGreaterThan(0)
        if (records)
          expect(
            own.some((e) => blobs.has((e.payload as { digest: string }).digest)),
            `${JSON.stringify(order)}: what lies beside`,
          ).toBe(true)
      }
      for (const tab of TABS) home.kill(tabs[tab])
    }),
    { numRuns: trials(200, 1500), endOnFailure: true },
  )
  process.stdout.write(
    `${Object.entries(met)
      .sort()
      .map(([what, n]) => `${what} ${n}`)
      .join(' · ')}\n`,
  )
  for (const deed of DEEDS) expect(met[deed] ?? 0, deed).toBeGreaterThan(3)
}, 240_000)

async function doing(home: Browser, store: Store, id: string, deed: Deed, text: string): Promise<unknown> {
  switch (deed) {
    case 'rule':
      return store.act('limit.set', { id: text, limit: { kind: 'years', from: 2000 }, reason: text })
    case 'type': {
      store.typeEdit('question', { kind: 'question.set', payload: { text } })
      return store.commitEdit('question', { kind: 'question.set', payload: { text } })
    }
    case 'bring':
      return bringTwo(store)
    case 'leave':
      return store.leaveReview()
    case 'open':
      return store.openReview(id)
    case 'put away':
      return store.putAway(id)
    case 'take back':
      return store.takeBack(id)
    case 'remove':
      return store.deleteReview(id)
    case 'clear': {
      const db = await home.look()
      const stores = ['entries', 'blobs', 'shelf', 'snapshots', 'pending'] as const
      const tx = db.transaction([...stores], 'readwrite')
      await Promise.all([...stores.map((s) => tx.objectStore(s).clear()), tx.done])
      return undefined
    }
  }
}
