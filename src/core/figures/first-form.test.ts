import { heldNames } from '../base'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import type { Rec } from '../records'
import { fold, inMemory, openPackage, worksOf, type Import } from '../review'
import { goneOverFrom } from '../review/journal.fixture'
import { worksOfFirstForm } from '../review/works/first-form.fixture'
import { figuresAt, tell } from '.'

const file = path.join(import.meta.dirname, '..', 'review', 'fixtures', 'first-form', 'demo.luvren.zip')

describe('the demo of the first form', async () => {
  const opened = await openPackage(inMemory(new Uint8Array(readFileSync(file))))
  if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'))
  const { entries, digests, blob } = opened.value
  const blocks = new Map<string, Rec[]>()
  for (const digest of digests)
    blocks.set(digest, JSON.parse(new TextDecoder().decode(await blob(digest))) as Rec[])
  const recordsOf = ({ digest }: Import): Rec[] | undefined => blocks.get(digest)

  it('tells the figures that it told then, and the same after it has gone over', () => {
    const then = figuresAt(entries, entries.length - 1, { recordsOf })
    // As the account of that time has them.
    expect(then).toMatchObject({
      concepts: 3,
      identified: 911,
      duplicates: 403,
      works: 508,
      broad: { total: 508, in: 195 },
      superseded: 0,
      lostRulings: 0,
      toSettle: 0,
    })
    const over = goneOverFrom(entries).entries
    const now = figuresAt(over, over.length - 1, { recordsOf })
    expect({ ...now, readers: then.readers, read: then.read }).toEqual(then)
    const byName = then.read.broad.map((r) => ({ ...r, readers: r.readers.map(() => 'p-1') }))
    expect(now.read.broad).toEqual(byName)
    expect([then.readers.broad, now.readers.broad]).toEqual([['M. Osei'], ['p-1']])
  })

  it('has the works of that time, in their order, each ruled as it was', () => {
    const { review } = fold(entries)
    const found = worksOf(review, recordsOf)
    const { ruled } = tell(review, found)
    const old = worksOfFirstForm(review.imports, (digest) => blocks.get(digest))
    expect(found.works.map((w) => w.record.id)).toEqual(old.map((w) => w.record.id))
    expect(heldNames(ruled.byWork)).toHaveLength(heldNames(review.rulings).length)
  })
})
