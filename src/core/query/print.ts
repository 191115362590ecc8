import { never } from '../base'
import { inQuotes, looksLikeOperator } from './spelling'
import { type Expr, type Lines, type Phrase } from './tree'

/**
 * Writes an expression in plain notation: operators in capitals, brackets around every joined part that stands inside
 * another. `parse(print(e))` is `e` again, places aside, for every tree that a reader gives. A word that is spelled like
 * an operator prints as a phrase of one word, which is how readers keep it.
 */
export const print = (e: Expr): string => written(e, (p) => p.typed ?? p.words.join(' '))

/** The same without what is only typed: two expressions that ask the same give the same. Keys are made of it. */
export const meaningOf = (e: Expr): string => written(e, (p) => p.words.join(' '))

function written(e: Expr, between: (p: Phrase) => string): string {
  const part = (inner: Expr): string => {
    const joined =
      inner.kind === 'and' || inner.kind === 'or' || inner.kind === 'not' || inner.kind === 'near'
    return joined ? `(${written(inner, between)})` : written(inner, between)
  }
  switch (e.kind) {
    case 'word':
      return looksLikeOperator(e.text) ? inQuotes(e.text) : e.text
    case 'phrase':
      return `${e.loose ? '~' : ''}${inQuotes(between(e))}`
    case 'and':
    case 'or':
    case 'not':
      return e.parts.map(part).join(` ${e.kind.toUpperCase()} `)
    case 'near':
      return `${part(e.left)} ${e.ordered ? 'THEN' : 'NEAR'}/${e.distance} ${part(e.right)}`
    case 'fields':
      return `${e.fields.join(',')}: ${part(e.of)}`
    case 'heading':
      return `heading${e.below ? '.below' : ''}${e.main ? '.main' : ''}: ${inQuotes(e.label)}`
    case 'class':
      return `class${e.below ? '.below' : ''}: ${inQuotes(e.code)}`
    case 'line':
      return `#${e.number}`
    case 'lines':
      return `${e.mode}(${ranges(e)})`
    default:
      return never(e)
  }
}

function ranges(e: Lines): string {
  return e.ranges.map((r) => (r.from === r.to ? `#${r.from}` : `#${r.from}-#${r.to}`)).join(', ')
}
