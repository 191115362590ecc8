import { buildIndex } from '../engine'
import { layColumns, toDocument, WorkList, type AskedWorks, type ListedWork, type Rec } from '../records'
import { termsInUse, type Review } from '../review'

/** A heading that is looked for in what one source's own records say; `all` means any source; `main`: only as their main one. */
export interface AskedHeading {
  label: string
  sourceId: string
  main: boolean
}
export interface TermAsks {
  /** Of words: what the list of works is asked. */
  words: { id: string; ask: AskedWorks }[]
  headings: { id: string; heading: AskedHeading }[]
}

/** A work with what each of its records says. */
type WorkOfRecords = { read: readonly { sourceId: string; record: Pick<Rec, 'headings'> }[] }

/**
 * What is asked for each term in use that a work can hold. Words are looked for in title, abstract and keywords of the work,
 * as databases are asked for them; those that are meant for one source, among the works that it found. A heading itself, not
 * its narrower ones, is looked for in the records of the source whose thesaurus it is from, as main heading where that is
 * asked: what a work is shown by may be another source's record, with headings of another thesaurus.
 */
export function termAsks(review: Review): TermAsks {
  const terms = termsInUse(review)
  return {
    words: terms.flatMap((t) =>
      t.kind === 'text'
        ? [
            {
              id: t.id,
              ask: {
                words: `text: (${t.expression})`,
                ...(t.sourceId === 'all' ? {} : { chosen: { source: [t.sourceId] } }),
              },
            },
          ]
        : [],
    ),
    headings: terms.flatMap((t) =>
      t.kind === 'heading'
        ? [{ id: t.id, heading: { label: t.expression, sourceId: t.sourceId, main: t.mainFocus } }]
        : [],
    ),
  }
}

/** Tells of a work which of these asks it answers: the heading stands in one of its records of that source. */
export function headingFinder(asks: TermAsks['headings']): (work: WorkOfRecords) => ReadonlySet<string> {
  const byLabel = new Map<string, TermAsks['headings']>()
  for (const ask of asks) byLabel.set(ask.heading.label, [...(byLabel.get(ask.heading.label) ?? []), ask])
  return ({ read }) => {
    const found = new Set<string>()
    for (const { sourceId, record } of read)
      for (const { label, main } of record.headings)
        for (const { id, heading } of byLabel.get(label) ?? [])
          if ((heading.sourceId === 'all' || heading.sourceId === sourceId) && (main || !heading.main))
            found.add(id)
    return found
  }
}

/**
 * How many of these works each term in use finds, by its id; none where there are no works. `most` works are laid out for
 * being searched at once: of many, their words together would take more memory than the works.
 */
export function termYields(
  review: Review,
  works: readonly (ListedWork & WorkOfRecords)[],
  most = 5000,
): Map<string, number> {
  if (!works.length) return new Map()
  const { words, headings } = termAsks(review)
  const found = new Map([...words, ...headings].map(({ id }) => [id, 0]))
  const unchanging = { ruled: () => [], groups: () => [], isNew: () => false }
  for (let from = 0; words.length && from < works.length; from += most) {
    const part = works.slice(from, from + most)
    const index = buildIndex(part.map((w) => toDocument(w.record)))
    const list = new WorkList(layColumns(part), () => index)
    for (const { id, ask } of words) found.set(id, found.get(id)! + list.ask(ask, unchanging).places.length)
  }
  const answered = headingFinder(headings)
  for (const work of works) for (const id of answered(work)) found.set(id, found.get(id)! + 1)
  return found
}
