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

/**
 * A processor for a style (CSL 1.0.2), in English. Making one takes a while: keep it for as many lists as there are. It
 * remembers items by their ids, so no id is ever given twice, and what an earlier list left is let go of before the next.
 */
export function styleEngine(style: StyleId): StyleEngine {
  let given = 0
  const items = new Map<string, CslItem>()
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
      items.clear()
      engine.updateItems([])
      const places = new Map<string, number>()
      of.forEach((item, at) => {
        const id = `item-${given++}`
        places.set(id, at)
        items.set(id, { ...item, id })
      })
      engine.updateItems([...places.keys()])
      const made = engine.makeBibliography()
      if (!made) return { entries: [], hanging: false }
      const [{ entry_ids: ids, hangingindent }, entries] = made
      return {
        entries: entries.map((html, n) => ({ at: places.get(ids[n]![0]!)!, html })),
        hanging: hangingindent !== undefined && hangingindent !== false,
      }
    },
  }
}
