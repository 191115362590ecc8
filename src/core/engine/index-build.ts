import { foldLabel } from '../base'
import type { Document } from './document'
import { Index, type HeadParts } from './index-read'
import { WordBuilder } from './index-words'

/**
 * Builds the index of documents numbered in the order given: headings, classes and facets at once, words when the first of
 * them is asked for. Who only counts headings does not wait for the words.
 */
export function buildIndex(documents: Iterable<Document>): Index {
  const all = [...documents]
  const heads = new HeadBuilder()
  for (const document of all) heads.add(document)
  return new Index(heads.finish(), () => {
    const words = new WordBuilder()
    for (const document of all) words.add(document)
    return words.finish()
  })
}

/** An index of documents that come one after the other and are let go. */
export class Builder {
  private readonly heads = new HeadBuilder()
  private readonly words = new WordBuilder()

  add(document: Document): void {
    this.heads.add(document)
    this.words.add(document)
  }

  finish(): Index {
    const words = this.words.finish()
    return new Index(this.heads.finish(), () => words)
  }
}

class HeadBuilder {
  private readonly headings = new Map<string, { docs: number[]; main: number[] }>()
  private readonly classes = new Map<string, number[]>()
  private readonly facets: Document['facets'][] = []

  add({ headings, classes, facets }: Document): void {
    const doc = this.facets.length
    for (const { label, main } of headings) {
      const key = foldLabel(label)
      let entry = this.headings.get(key)
      if (!entry) this.headings.set(key, (entry = { docs: [], main: [] }))
      if (entry.docs[entry.docs.length - 1] !== doc) entry.docs.push(doc)
      if (main && entry.main[entry.main.length - 1] !== doc) entry.main.push(doc)
    }
    for (const code of classes) {
      const docs = this.classes.get(code)
      if (!docs) this.classes.set(code, [doc])
      else if (docs[docs.length - 1] !== doc) docs.push(doc)
    }
    this.facets.push(facets)
  }

  finish(): HeadParts {
    return {
      size: this.facets.length,
      headings: new Map(
        [...this.headings].map(([k, v]) => [
          k,
          { docs: Uint32Array.from(v.docs), main: Uint32Array.from(v.main) },
        ]),
      ),
      classes: new Map([...this.classes].map(([k, v]) => [k, Uint32Array.from(v)])),
      facets: this.facets,
    }
  }
}
