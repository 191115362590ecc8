import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { inMemory, openPackage, type Command } from '@/core/review'
import { newerEntryAfter } from '@/core/review/journal.fixture'
import { addEntries, readEntries } from './db'
import { BEGUN, browser } from './store.fixture'
import type { Store } from './store'

const asks = (text: string): Command => ({ kind: 'question.set', payload: { text } })
const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms))
const question = (store: Store): string => store.session.getState().folded.review.question
const state = (store: Store): string => store.session.getState().state

async function begun(home = browser()) {
  const store = home.tab()
  const id = await store.createReview('R')
  await store.openReview(id)
  return { home, store, id }
}
/** The next tab, after the one before has crashed. */
async function reopened(home: ReturnType<typeof browser>, dead: Store, id: string): Promise<Store> {
  home.kill(dead)
  const next = home.tab()
  await next.openReview(id)
  return next
}

describe('typing', () => {
  it('is on disk while it goes on: a tab that is killed at a key loses only what is younger than half a second', async () => {
    const { home, store, id } = await begun()
    const text = 'How do sound conditions bear on listening and reading?'
    const typedAt: number[] = []
    for (let n = 1; n <= text.length; n++) {
      store.typeEdit('question', asks(text.slice(0, n)))
      typedAt.push(performance.now())
      await pause(25)
    }
    const killed = performance.now()
    const next = await reopened(home, store, id)
    const old = typedAt.filter((t) => t < killed - 500).length
    expect(old).toBeGreaterThan(20)
    expect(text.startsWith(question(next))).toBe(true)
    expect(question(next).length).toBeGreaterThanOrEqual(old)
  })

  it('is not called saved while any of it is in memory alone, and is once it is staged', async () => {
    const { store } = await begun()
    expect(state(store)).toBe('saved')
    store.typeEdit('question', asks('H'))
    expect(state(store)).toBe('saving')
    expect(store.unsaved()).toBe(true)
    await vi.waitFor(() => expect(state(store)).toBe('saved'))
    expect(store.unsaved()).toBe(false)
  })

  it('goes to disk at once when the page is hidden', async () => {
    const { home, store } = await begun()
    store.typeEdit('question', asks('How'))
    store.flush()
    await vi.waitFor(async () => expect(await (await home.look()).getAll('pending')).toHaveLength(1), {
      timeout: 150,
    })
  })

  it('becomes one entry when it is finished, and none when it is given up', async () => {
    const { home, store } = await begun()
    store.typeEdit('question', asks('no'))
    store.flush()
    await store.discardEdit('question')
    store.typeEdit('question', asks('ye'))
    await store.commitEdit('question', asks('yes'))
    const db = await home.look()
    expect(await db.getAll('pending')).toEqual([])
    expect(
      store.session
        .getState()
        .entries.slice(BEGUN)
        .map((e) => e.kind),
    ).toEqual(['question.set'])
  })

  it('in a review in which a newer version has written is refused, and stays in its field and on disk', async () => {
    const { home, id } = await begun()
    const db = await home.look()
    const entries = await readEntries(db, id)
    await addEntries(db, id, [newerEntryAfter(entries.at(-1)!, { kind: 'wish.set', payload: {} })])
    const other = home.tab()
    await other.openReview(id)
    other.typeEdit('question', asks('Why?'))
    expect(() => other.commitEdit('question', asks('Why?'))).toThrow('A newer Luvren has written')
    expect(other.typedAt('question')).toEqual(asks('Why?'))
    await vi.waitFor(async () => expect(await db.getAll('pending')).toHaveLength(1))
    // The next tab leaves it as it lies, until a version that knows all of the review takes it over.
    const next = await reopened(home, other, id)
    expect([question(next), await readEntries(db, id)]).toEqual([
      '',
      expect.objectContaining({ length: BEGUN + 1 }),
    ])
    expect(await db.getAll('pending')).toHaveLength(1)
  })

  it('that the journal refuses is told in words, and the text is kept', async () => {
    const { home, store, id } = await begun()
    const long = 'x'.repeat(5001)
    store.typeEdit('question', asks(long))
    expect(() => store.commitEdit('question', asks(long))).toThrow()
    expect(store.typedAt('question')).toEqual(asks(long))
    store.flush()
    await vi.waitFor(() => expect(state(store)).toBe('saved'))
    const next = await reopened(home, store, id)
    // It cannot become an entry; it is there to be read and copied.
    expect(next.session.getState().left).toMatchObject([
      { typed: undefined, pending: { command: asks(long) } },
    ])
    const opened = await openPackage(inMemory(await store.packOpenReview()))
    expect(opened.ok).toBe(true)
  })

  it('of a living tab is left alone by another', async () => {
    const { home, store, id } = await begun()
    store.typeEdit('question', asks('half a ques'))
    store.flush()
    await vi.waitFor(() => expect(state(store)).toBe('saved'))
    const other = home.tab()
    await other.openReview(id)
    expect(question(other)).toBe('')
    expect(other.session.getState().left).toEqual([])
  })
})

describe('an edit that was left unfinished', () => {
  it('does not take the place of what another tab made of the same field meanwhile: both are there to choose', async () => {
    const { home, store, id } = await begun()
    const other = home.tab()
    await other.openReview(id)
    store.typeEdit('question', asks('How loud is it?'))
    await other.act('question.set', { text: 'How quiet is it?' })
    await expect.poll(() => question(store)).toBe('How quiet is it?')
    await store.commitEdit('question', asks('How loud is it in class?'))
    expect(question(store)).toBe('How quiet is it?')
    const [left] = store.session.getState().left
    expect(left).toMatchObject({ typed: asks('How loud is it in class?'), now: { text: 'How quiet is it?' } })
    // It is on disk: whoever closes this tab without a choice is asked by the next one.
    const next = await reopened(home, store, id)
    expect(next.session.getState().left).toHaveLength(1)
    await next.settleLeft(next.session.getState().left[0]!, true)
    expect(question(next)).toBe('How loud is it in class?')
    expect(await (await home.look()).getAll('pending')).toEqual([])
  })

  it('of which another tab has made the same already writes nothing again', async () => {
    const { home, store, id } = await begun()
    const other = home.tab()
    await other.openReview(id)
    store.typeEdit('question', asks('How loud?'))
    await other.act('question.set', { text: 'How loud?' })
    await expect.poll(() => question(store)).toBe('How loud?')
    const { length } = store.session.getState().entries
    await store.commitEdit('question', asks('How loud?'))
    expect(store.session.getState().entries).toHaveLength(length)
    expect(store.unsaved()).toBe(false)
  })

  it('never takes the place of newer finished words: both are kept, and a person chooses', async () => {
    const { home, store, id } = await begun()
    await store.act('question.set', { text: 'How loud?' })
    store.typeEdit('question', asks('How loud is it in'))
    store.flush()
    await vi.waitFor(() => expect(state(store)).toBe('saved'))
    const second = await (async () => {
      const tab = home.tab()
      await tab.openReview(id)
      await tab.act('question.set', { text: 'How quiet?' })
      return tab
    })()
    home.kill(second)
    const third = await reopened(home, store, id)
    expect(question(third)).toBe('How quiet?')
    const [left] = third.session.getState().left
    expect(left).toMatchObject({ typed: asks('How loud is it in'), now: { text: 'How quiet?' } })
    // Not chosen yet: it is there again the next time.
    const fourth = await reopened(home, third, id)
    expect(fourth.session.getState().left).toHaveLength(1)
    await fourth.settleLeft(fourth.session.getState().left[0]!, true)
    expect(question(fourth)).toBe('How loud is it in')
    expect(fourth.session.getState().left).toEqual([])
    expect(await (await home.look()).getAll('pending')).toEqual([])
  })

  it('changes only the part that was typed into, when another part of the same thing was changed since', async () => {
    const { home, store, id } = await begun()
    const concept = { id: 'c', letter: 'A' as const, name: 'Rooms', essential: true, note: '' }
    await store.act('concept.set', concept)
    store.typeEdit('concept-name-c', { kind: 'concept.set', payload: { ...concept, name: 'Class rooms' } })
    store.flush()
    await vi.waitFor(() => expect(state(store)).toBe('saved'))
    const other = home.tab()
    await other.openReview(id)
    await other.act('concept.set', { ...concept, essential: false })
    home.kill(other)
    const next = await reopened(home, store, id)
    await vi.waitFor(() =>
      expect(next.session.getState().folded.review.concepts).toMatchObject([
        { name: 'Class rooms', essential: false },
      ]),
    )
  })

  it('is finished or asked about, whatever was done in between; no finished text is lost in silence', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 3 }),
        fc.constantFrom('a', 'b', 'typed'),
        async (finished, typed) => {
          const { home, store, id } = await begun()
          await store.act('question.set', { text: 'a' })
          store.typeEdit('question', asks(typed))
          store.flush()
          await vi.waitFor(() => expect(state(store)).toBe('saved'))
          const other = home.tab()
          await other.openReview(id)
          for (const text of finished) await other.act('question.set', { text })
          home.kill(other)
          const last = finished.at(-1) ?? 'a'
          const next = await reopened(home, store, id)
          const { left } = next.session.getState()
          if (last === 'a' || last === typed || typed === 'a') {
            expect(left).toEqual([])
            expect(question(next)).toBe(last === 'a' ? typed : last)
          } else {
            expect(question(next)).toBe(last)
            expect(left).toHaveLength(1)
          }
          home.kill(next)
        },
      ),
      { numRuns: 25 },
    )
  })
})
