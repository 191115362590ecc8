import type { Problem } from '../../base'
import { doiIn } from '../identifiers'
import type { ReferenceParts } from '../reference'
import { bibtexReader } from './bibtex'
import type { Item } from './item'
import { plainName } from './names'

/** Reads BibTeX for what it says of works. An entry that cannot be read gives an empty title and says what is wrong. */
export function readBibtex(raw: string): (ReferenceParts & { problems: Problem[] })[] {
  const items: Item[] = []
  const reader = bibtexReader({ item: (item) => items.push(item), stray: () => undefined })
  reader.push(raw)
  reader.end()
  return items.map(({ record, problems }) => {
    if (!record) return { title: '', authors: [], problems }
    const doi = doiIn(record.doi ?? '')
    return {
      title: record.title.replace(/<\/?(?:i|b|sup|sub)>/g, ''),
      authors: record.authors.map(plainName),
      ...(record.year ? { year: record.year } : {}),
      ...(record.journal ? { journal: record.journal } : {}),
      ...(doi ? { doi } : {}),
      problems,
    }
  })
}
