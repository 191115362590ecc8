// Records with long abstracts, as many as are asked for.
import { emptyRecord, type Rec } from '../src/core/records'

/** How many; RECORDS asks for others. */
export const COUNT = Number(process.env.RECORDS ?? 100_000)
/** Words in an abstract. */
const ABSTRACT = Number(process.env.ABSTRACT ?? 200)
const WORDS =
  'noise in rooms where children listen and read was measured before and after the change of ceilings'.split(
    ' ',
  )
const record = (i: number): Rec => ({
  ...emptyRecord(`r${i}`, `Title ${i} on sound, reading and the rooms of schools`),
  abstract: Array.from({ length: ABSTRACT }, (_w, k) => WORDS[(i + k * 7) % WORDS.length]!).join(' '),
  authors: ['Ahola, R.', `Quill, ${String.fromCharCode(65 + (i % 26))}.`],
  year: 2000 + (i % 26),
  journal: `Journal of Learning Spaces ${i % 40}`,
  keywords: [WORDS[i % WORDS.length]!],
  type: 'journal article',
})

export const longRecords = (): Rec[] => Array.from({ length: COUNT }, (_, i) => record(i))
