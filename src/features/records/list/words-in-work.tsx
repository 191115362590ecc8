import { useMemo } from 'react'
import { plural } from '@/core/base'
import { Scanned, wordsInContext, type InContext } from '@/core/engine'
import { readWords, toDocument, type Rec } from '@/core/records'

/** So many places are shown; a full text may have thousands. */
const MOST = 12
const FIELD_WORDS: Partial<Record<InContext['field'], string>> = { fulltext: 'full text' }

/** Where the words that the list was asked for stand in a work. */
export function WordsInWork({ record, words }: { record: Rec; words: string }) {
  const found = useMemo(() => {
    const { tree } = readWords(words)
    if (!tree || !words.trim()) return []
    const document = toDocument(record)
    const hits = new Scanned(document).hits(tree)
    return wordsInContext(hits, (field, value) => document.fields[field]?.[value] ?? '', 46)
  }, [record, words])
  if (!found.length) return null
  return (
    <section className="work-from" aria-label="Where the words stand">
      <h3>Where the words stand</h3>
      <ul className="words-in-work">
        {found.slice(0, MOST).map((c, i) => (
          <li key={i}>
            <span className="sub">{FIELD_WORDS[c.field] ?? c.field}</span>
            <span>
              {c.before}
              <b>{c.match}</b>
              {c.behind}
            </span>
          </li>
        ))}
      </ul>
      {found.length > MOST && <p className="sub">and {plural(found.length - MOST, 'more place')}</p>}
    </section>
  )
}
