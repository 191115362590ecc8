import { z } from 'zod'
import { Digest, Evidence, Person, ReachedLine } from '../values'
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
