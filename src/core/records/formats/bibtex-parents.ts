import { atLine, type Reader, type ReadsTo } from './item'
import type { EntriesTo, Entry, splitBibtex } from './bibtex-split'

/** The field that names the parent of an entry. */
export const PARENT = ['cross', 'ref'].join('')

/** What an entry never has from its parent: what is its own by nature, and what says how a parent is to be printed. */
const OWN = new Set(
  `title subtitle abstract keywords pages shorttitle doi url urldate eprint note annote annotation xref xdata ids
  entryset entrysubtype label options related relatedtype sortkey shortauthor shorteditor file`.split(/\s+/),
)
/** Where the title of a parent goes: the book that a part stands in (biblatex 3, appendix B). */
const PARTS = /^(?:in|supp|bookin)/

/**
 * Gives entries with what they have from others: the parent that its field for cross-references names (BibTeX, and biblatex 3, section 2.4.1)
 * and the fields that `xdata` names. A parent may stand anywhere in the file: what names one that was not read yet waits
 * for it, and all behind it, so that entries keep their order. Entries that only hold fields, or group others, are no
 * works: the second are told.
 */
export function withParents(to: EntriesTo, told: ReadsTo, split: typeof splitBibtex): Reader {
  const known = new Map<string, Entry>()
  const waiting: (() => void)[] = []
  let missing = new Set<string>()
  const need = (entry: Entry): string[] => namesOf(entry).filter((key) => !known.has(key))
  const flush = (): void => {
    for (const give of waiting.splice(0)) give()
    missing = new Set()
  }
  const later = (give: () => void): void => {
    if (missing.size) waiting.push(give)
    else give()
  }
  const reader = split({
    entry: (entry) => {
      known.set(entry.key.toLowerCase(), entry)
      missing.delete(entry.key.toLowerCase())
      if (entry.type === 'xdata') return missing.size ? undefined : flush()
      if (entry.type === 'set')
        return told.stray(
          atLine(
            entry.line,
            'bibtex-set',
            'warning',
            `“${entry.key}” groups other entries and is no work of its own.`,
          ),
        )
      for (const key of need(entry)) missing.add(key)
      const give = (): void => to.entry(whole(entry, known))
      if (missing.size) waiting.push(give)
      else {
        flush()
        give()
      }
    },
    broken: (...what) => later(() => to.broken(...what)),
  })
  return {
    push: reader.push,
    end: () => {
      reader.end()
      flush()
    },
  }
}

const valuesOf = (entry: Entry, name: string): string[] =>
  entry.fields
    .filter(([n]) => n === name)
    .flatMap(([, value]) => value.split(','))
    .map((key) => key.trim().toLowerCase())
    .filter(Boolean)
const namesOf = (entry: Entry): string[] => [...valuesOf(entry, 'xdata'), ...valuesOf(entry, PARENT)]

/** An entry with the fields of those that it names, and theirs; one that names itself in a circle stays as it is. */
function whole(entry: Entry, known: ReadonlyMap<string, Entry>, above: readonly Entry[] = []): Entry {
  if (above.includes(entry) || above.length > 8) return entry
  const has = new Set(entry.fields.map(([name]) => name))
  const fields = [...entry.fields]
  const take = (name: string, value: string): void => {
    if (has.has(name)) return
    has.add(name)
    fields.push([name, value])
  }
  for (const key of valuesOf(entry, 'xdata')) {
    const data = known.get(key)
    for (const [name, value] of data ? whole(data, known, [...above, entry]).fields : []) take(name, value)
  }
  for (const key of valuesOf(entry, PARENT)) {
    const parent = known.get(key) && whole(known.get(key)!, known, [...above, entry])
    for (const [name, value] of parent?.fields ?? [])
      if (name === 'title' && PARTS.test(entry.type) && !has.has('booktitle'))
        take('booktitle', titleOf(parent!, value))
      // The people of a book that is edited are its editors; those who wrote it wrote its parts.
      else if (name !== PARENT && !OWN.has(name)) take(name, value)
  }
  return fields.length === entry.fields.length ? entry : { ...entry, fields }
}

function titleOf(parent: Entry, title: string): string {
  const subtitle = parent.fields.find(([name]) => name === 'subtitle')?.[1]
  return subtitle === undefined ? title : `${title}: ${subtitle}`
}
