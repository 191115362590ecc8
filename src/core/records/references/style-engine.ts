import CSL, { type StyleNode } from 'citeproc'
import locales from '@citation-js/plugin-csl/lib/locales.json'
import styles from '@citation-js/plugin-csl/lib/styles.json'
import type { CslItem } from '../formats/csl'
import type { StyleEngine, StyleId } from './list'
import { british } from './locale'

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

/** Styles that are set in British English and do not say so in their files. */
const BRITISH: ReadonlySet<string> = new Set<StyleId>(['harvard1'])
const LOCALES = locales as Readonly<Record<string, string>>
const BY_LANGUAGE = new Map(Object.keys(LOCALES).map((name) => [name.slice(0, 2), name]))

/** The words of a language, in the form of a country where there is one; English where there is none. */
function localeOf(language: string): string {
  if (language === 'en-GB') return british(LOCALES['en-US']!)
  return LOCALES[language] ?? LOCALES[BY_LANGUAGE.get(language.slice(0, 2)) ?? 'en-US']!
}

/**
 * A processor for a style (CSL 1.0.2), one that ships here or the text of one that a person brought in, in the language
 * that the style is for; English where it says none. Making one takes a while: keep it for as many lists as there are. It
 * remembers items by their ids, so no id is ever given twice, and what an earlier list left is let go of before the next.
 */
export function styleEngine(style: StyleId | { text: string }): StyleEngine {
  const text = typeof style === 'string' ? styles[style] : style.text
  const said = /<style\b[^>]*\bdefault-locale="([\w-]+)"/.exec(text)?.[1]
  const language = said ?? (typeof style === 'string' && BRITISH.has(style) ? 'en-GB' : 'en-US')
  let given = 0
  const items = new Map<string, CslItem>()
  const engine = new CSL.Engine(
    {
      retrieveLocale: localeOf,
      retrieveItem: (id: string) => items.get(id),
    },
    text,
    language,
    // The language is the style's, whatever the browser's.
    true,
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
