import fc from 'fast-check'
import type { Command } from './commands'

const id = fc.constantFrom('a', 'b', 'c')
const text = fc.string({ maxLength: 12 })
const line = fc.record({
  id,
  text: fc.constantFrom('noise', '#1', 'any(#1-#2)', 'x AND ('),
  limits: fc.array(fc.constant({ kind: 'peer reviewed' as const }), { maxLength: 1 }),
  note: text,
  drafted: fc.boolean(),
})

/** Random commands, sensible and not, for property tests of the journal. */
export const anyCommand: fc.Arbitrary<Command> = fc.oneof(
  text.map((t): Command => ({ kind: 'question.set', payload: { text: t } })),
  text.map((title): Command => ({ kind: 'review.rename', payload: { title } })),
  fc
    .record({ id, letter: fc.constantFrom('A', 'B', 'C'), name: text, essential: fc.boolean(), note: text })
    .map((c): Command => ({ kind: 'concept.set', payload: c as never })),
  id.map((i): Command => ({ kind: 'concept.remove', payload: { id: i } })),
  fc
    .record({ sourceId: fc.constant('s'), line, at: fc.nat(3) })
    .map((p): Command => ({ kind: 'line.add', payload: p })),
  id.map((i): Command => ({ kind: 'line.remove', payload: { sourceId: 's', id: i } })),
  fc
    .record({ sourceId: fc.constant('s'), id, text })
    .map((p): Command => ({ kind: 'line.change', payload: p })),
  fc
    .record({
      recordId: fc.constantFrom('i/1', 'i/2', 'was:doi:10.5555/a'),
      pass: fc.constantFrom('broad' as const, 'close' as const),
      reader: id,
      verdict: fc.constantFrom('in' as const, 'out' as const),
    })
    .map((p): Command => ({ kind: 'ruling.set', payload: p })),
  fc.nat(30).map((seq): Command => ({ kind: 'undo', payload: { seq } })),
  fc.nat(30).map((seq): Command => ({ kind: 'redo', payload: { seq } })),
)

export { journalOf } from './journal.fixture'
