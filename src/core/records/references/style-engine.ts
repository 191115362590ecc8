import CSL from 'citeproc'
import locales from '@citation-js/plugin-csl/lib/locales.json'
import styles from '@citation-js/plugin-csl/lib/styles.json'
import type { CslItem } from '../formats/csl'
import type { StyleEngine, StyleId } from './list'

/** A processor for a style (CSL 1.0.2), in English. Making one takes a while: keep it for as many lists as there are. */
export function styleEngine(style: StyleId): StyleEngine {
  let items = new Map<string, CslItem>()
  const engine = new CSL.Engine(
    {
      retrieveLocale: () => locales['en-US'],
      retrieveItem: (id: string) => items.get(id),
    },
    styles[style],
    'en-US',
  )
  return {
    bibliography: (of) => {
      items = new Map(of.map((item) => [item.id, item]))
      engine.updateItems(of.map((item) => item.id))
      const made = engine.makeBibliography()
      if (!made) return { entries: [], hanging: false }
      const [{ entry_ids: ids, hangingindent }, entries] = made
      return {
        entries: entries.map((html, n) => ({ id: ids[n]![0]!, html })),
        hanging: hangingindent !== undefined && hangingindent !== false,
      }
    },
  }
}
