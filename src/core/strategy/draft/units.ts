import { foldLabel } from '../../base'
import { children, print, withoutPlaces, type Expr } from '../../query'

/** What is compared: a word, a phrase, words near each other, a heading, a code. Fields and limits do not count. */
export interface Unit {
  kind: 'text' | 'heading' | 'class'
  key: string
  text: string
}

/** The units that an expression says, in reading order. */
export function unitsOf(e: Expr): Unit[] {
  switch (e.kind) {
    case 'heading':
      return [{ kind: 'heading', key: `heading ${foldLabel(e.label)}`, text: e.label }]
    case 'class':
      return [{ kind: 'class', key: `class ${e.code}`, text: e.code }]
    case 'word':
    case 'phrase':
    case 'near': {
      const text = print(withoutPlaces(e))
      return [{ kind: 'text', key: text.toLowerCase(), text }]
    }
    default:
      return children(e).flatMap(unitsOf)
  }
}
