import CSL, { type StyleNode } from 'citeproc'
import locales from '@citation-js/plugin-csl/lib/locales.json'
import styles from '@citation-js/plugin-csl/lib/styles.json'
import type { CslItem } from '../formats/csl'
import type { StyleEngine, StyleId } from './list'

/** By style: its macros by name. The processor walks through the whole style at each of some thousand calls of one. */
const macros = new WeakMap<object, Map<string | undefined, StyleNode[]>>()
const walked = CSL.XmlJSON.prototype.getNodesByName
CSL.XmlJSON.prototype.getNodesByName = function (of, name, called, found) {
  if (name !== 'macro' || called === undefined || found) return walked.call(this, of, name, called, found)
  const known = macros.get(of) ?? new Map<string | undefined, StyleNode[]>()
  if (!macros.has(of)) {
    for (const macro of walked.call(this, of, name))
      known.set(macro.attrs.name, [...(known.get(macro.attrs.name) ?? []), macro])
    macros.set(of, known)
  }
  return known.get(called) ?? []
}

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
