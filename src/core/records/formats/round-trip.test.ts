import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyRecord } from './record.arbitrary'
import { readAll, readerFor, recognise, WRITERS, type Shape, type WholeRead, type Writable } from './format'

const NAMES = Object.keys(WRITERS) as Writable[]

const readerIn = (shape: Shape, into: WholeRead) =>
  readerFor(shape, { item: (i) => into.items.push(i), stray: (p) => into.strays.push(p) })

describe('every format', () => {
  it.each(NAMES)('%s written and read again has every field of every record', (format) => {
    fc.assert(
      fc.property(fc.array(anyRecord, { minLength: 1, maxLength: 3 }), (drawn) => {
        const records = drawn.map((r, i) => ({ ...r, id: `${r.id}${i || ''}` }))
        const text = WRITERS[format](records)
        const shape = recognise(text, {}, format)!
        const { items, strays } = readAll(text, shape)
        expect(strays).toEqual([])
        expect(items.map((i) => i.record)).toEqual(records)
      }),
      { numRuns: 400 },
    )
  })

  it('is recognised by what stands in it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES),
        fc.array(anyRecord, { minLength: 1, maxLength: 3 }),
        (format, records) => {
          expect(recognise(WRITERS[format](records))?.format).toBe(format)
        },
      ),
      { numRuns: 300 },
    )
  })

  it('is read the same in pieces of any length', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES),
        fc.array(anyRecord, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 40 }),
        fc.boolean(),
        (format, records, length, windows) => {
          const plain = WRITERS[format](records)
          const text = windows ? plain.replace(/\r?\n/g, '\r\n') : plain
          const shape = recognise(text, {}, format)!
          const whole = readAll(text, shape)
          const pieces: typeof whole = { items: [], strays: [] }
          const reader = readerIn(shape, pieces)
          for (let i = 0; i < text.length; i += length) reader.push(text.slice(i, i + length))
          reader.end()
          expect(pieces).toEqual(whole)
        },
      ),
      { numRuns: 300 },
    )
  })

  it('takes any text without throwing, and any bytes cut off anywhere', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES, 'tagged' as const),
        fc.oneof(
          fc.string({ unit: 'binary' }),
          fc
            .tuple(fc.constantFrom(...NAMES), anyRecord, fc.nat(300))
            .map(([f, r, n]) => WRITERS[f]([r, r]).slice(0, n)),
        ),
        (format, text) => {
          const shape = recognise(text, {}, format) ?? { format }
          for (const item of readAll(text, shape).items)
            if (!item.record)
              expect([item.text !== undefined, item.problems.length > 0]).toEqual([true, true])
        },
      ),
      { numRuns: 600 },
    )
  })
})
