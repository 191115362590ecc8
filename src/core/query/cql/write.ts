import { never, problem, type Problem } from '../../base'
import { numbersIn, type Expr, type Field } from '../tree'
import { INDEX_OF } from './context'

/**
 * Writes an expression in CQL 1.2. Fields are handed down to the words, for CQL names an index with each term. CQL has
 * no "up to n more characters"; such a word is written with `*` and a warning that this finds more.
 */
export function writeCql(e: Expr): { text: string; problems: Problem[] } {
  const problems: Problem[] = []
  const text = new CqlWriter(problems).write(e, ['any'])
  return { text, problems }
}

class CqlWriter {
  constructor(private readonly problems: Problem[]) {}

  write(e: Expr, fields: readonly Field[]): string {
    switch (e.kind) {
      case 'word':
      case 'phrase':
        return this.leaf(e, fields)
      case 'near':
        return this.near(e, fields)
      case 'and':
      case 'or':
      case 'not':
        return e.parts.map((p) => this.part(p, fields)).join(` ${e.kind} `)
      case 'fields':
        return this.write(e.of, e.fields)
      case 'heading':
        return `luv.heading =${e.below ? '/luv.below' : ''}${e.main ? '/luv.main' : ''} ${quoted(e.label)}`
      case 'class':
        return `luv.class =${e.below ? '/luv.below' : ''} ${quoted(e.code)}`
      case 'line':
        return `luv.line = ${e.number}`
      case 'lines': {
        const numbers = numbersIn(e.ranges)
        return numbers.length === 1 ? `luv.line = ${numbers[0]}` : `luv.line ${e.mode} "${numbers.join(' ')}"`
      }
      default:
        return never(e)
    }
  }

  private part(e: Expr, fields: readonly Field[]): string {
    const inner = e.kind === 'fields' ? e.of : e
    const text = this.write(e, fields)
    const several =
      (e.kind === 'fields' ? e.fields : fields).length > 1 && ['word', 'phrase', 'near'].includes(inner.kind)
    const joined = ['and', 'or', 'not', 'near', 'fields'].includes(inner.kind)
    return several || joined ? `(${text})` : text
  }

  private leaf(e: Expr & { kind: 'word' | 'phrase' }, fields: readonly Field[]): string {
    const words = (e.kind === 'word' ? [e.text] : e.words).map((w) => this.mask(w, e))
    const term = quoted(words.join(' '))
    return fields
      .map((f) =>
        f === 'any' && e.kind === 'word' ? term : `${INDEX_OF[f]} ${e.kind === 'word' ? '=' : 'adj'} ${term}`,
      )
      .join(' or ')
  }

  private mask(word: string, e: Expr): string {
    if (!/\*\d/.test(word)) return word
    this.problems.push(
      problem(
        'cql-truncation',
        'warning',
        `CQL cannot say "up to so many more characters": "${word}" is written with *, which finds more.`,
        e.at,
      ),
    )
    return word.replace(/\*\d{1,2}/g, '*')
  }

  private near(e: Expr & { kind: 'near' }, fields: readonly Field[]): string {
    const join = `prox/unit=word/distance<=${e.distance + 1}/${e.ordered ? 'ordered' : 'unordered'}`
    // Both sides must stand in the same field, so the whole is written once for each.
    return fields
      .map((f) => {
        const text = `${this.part(e.left, [f])} ${join} ${this.part(e.right, [f])}`
        return fields.length > 1 ? `(${text})` : text
      })
      .join(' or ')
  }
}

const quoted = (text: string): string =>
  /^[\p{L}\p{N}*?]+$/u.test(text) && !/^(?:and|or|not|prox|sortby)$/i.test(text)
    ? text
    : `"${text.replace(/["\\]/g, '\\$&')}"`
