import { z } from 'zod'
import { reviewFromPlain } from '../plain-review'
import { Digest, Evidence, Person, ReachedLine, SamePerson } from '../values'
import { goneOver } from '../gone-over'
import { kind, PLAIN, put, said } from './kind'

const Undo = z.object({ seq: z.int().min(0) })

export const JOURNAL_KINDS = {
  'person.named': kind({
    ...PLAIN,
    schema: Person.extend({ name: Person.shape.name.unwrap() }),
    apply: (r, p) => {
      // A name may be corrected; what the person was called in the first form is kept.
      const known = r.people.find((person) => person.id === p.id)
      const was = [...new Set([...(known?.was ?? []), ...(p.was ?? [])])]
      put(r.people, { ...p, ...(was.length ? { was } : {}) })
    },
    undo: 'superseded',
    place: () => undefined,
    words: said('name given'),
    bearsPerson: true,
  }),
  'person.same': kind({
    ...PLAIN,
    schema: SamePerson,
    apply: (r, p) => {
      r.samePersons = [...(r.samePersons ?? []).filter((s) => s.a !== p.a || s.b !== p.b), p]
    },
    place: () => undefined,
    words: said('two ids said to be one person'),
  }),
  'journal.from': kind({
    ...PLAIN,
    schema: z.object({
      /** The last entry of the journal that this one came of, and its digest. */
      of: z.object({ seq: z.int().min(0), digest: Digest }),
      /** The review as it is handed on, beside the journal. */
      state: Digest,
    }),
    apply: (r, p, { seq, state }) => {
      if (seq !== 1)
        throw new Error('A journal begins from a state right behind the entry that makes the review.')
      const plain = state?.(p.state)
      if (!plain) throw new Error('The state that this journal begins from is not here.')
      const { id } = r
      Object.assign(r, reviewFromPlain(plain), { id, from: p.of.digest })
    },
    blobs: (p) => [p.state],
    undo: 'happened',
    place: () => undefined,
    words: said('journal begun from a state that was handed on'),
  }),
  'journal.goOver': kind({
    ...PLAIN,
    schema: z.object({
      /** The last entry before the second form, or the last of those that name people, and its digest. */
      before: z.object({ seq: z.int().min(0), digest: Digest }),
      /** The review as it is behind this entry, without names. */
      state: Digest,
      /** What the runs of the first form did not say of themselves. */
      runs: z.array(z.object({ id: z.string(), reached: z.array(ReachedLine), evidence: Evidence })),
    }),
    apply: (r, p, { seq }) => {
      if (p.before.seq !== seq - 1) throw new Error('It does not follow the entry that it names.')
      goneOver(r, p.runs)
    },
    blobs: (p) => [p.state],
    undo: 'happened',
    place: () => undefined,
    words: said('journal gone over to its second form'),
  }),
  undo: kind({
    ...PLAIN,
    schema: Undo,
    apply: () => undefined,
    undo: 'happened',
    place: () => undefined,
    words: said('undone'),
    bearsPerson: true,
  }),
  redo: kind({
    ...PLAIN,
    schema: Undo,
    apply: () => undefined,
    undo: 'happened',
    place: () => undefined,
    words: said('done again'),
    bearsPerson: true,
  }),
}
