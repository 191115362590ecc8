import { describe, expect, it } from 'vitest'
import { leaveOut } from '../../handed'
import { journalOf, newerEntryAfter } from '../journal.fixture'
import { inMemory, openPackage, packReview } from '../package'
import { fold } from './fold'
import { newerProblem, writtenByNewer } from './newer'
import { withheld } from './entry'

const known = journalOf([
  { kind: 'review.create', payload: { id: 'feedback', title: 'Feedback' } },
  { kind: 'question.set', payload: { text: 'Does feedback help?' } },
])
const wish = newerEntryAfter(known.at(-1)!, { kind: 'wish.set', payload: { text: 'peace' } })
const alike = newerEntryAfter(known.at(-1)!, { kind: 'question.set', payload: { text: 'Why?' } })

describe('a review in which a newer version has written', () => {
  it('is known by its entries, also by those that could be read here', () => {
    expect(writtenByNewer(known)).toBeUndefined()
    expect(newerProblem(known)).toBeUndefined()
    for (const entry of [wish, alike]) {
      expect(writtenByNewer([...known, entry])).toBe(entry)
      expect(newerProblem([...known, entry])).toMatchObject({ code: 'review-newer', at: 'entry 2' })
    }
    // What an entry would do is of no account where it is left out.
    expect(writtenByNewer([...known, withheld(wish)])).toBeUndefined()
  })

  it('opens all the same, and shows what is understood', async () => {
    const entries = [...known, wish]
    const opened = await openPackage(inMemory(packReview({ entries, blobs: new Map() }, 'Feedback')))
    expect(opened).toMatchObject({ ok: true, value: { entries } })
    expect(fold(entries).review.question).toBe('Does feedback help?')
  })

  it('is handed on whole or not at all: what is to be left out might stand where it is not looked for', async () => {
    const entries = [...known, wish]
    const none = (): Promise<undefined> => Promise.resolve(undefined)
    expect(await leaveOut(entries, {}, none)).toMatchObject({ ok: true })
    for (const what of [{ names: true }, { texts: true }, { rulings: true }])
      expect(await leaveOut(entries, what, none)).toMatchObject({ ok: false })
  })
})
