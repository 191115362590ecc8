import { foldLabel, foldWord } from '../../base'
import { children, isMasked, maskTest, meaningOf, print, type Expr } from '../../query'

/** What is compared: a word, a phrase, words near each other, a heading, a code. Fields and limits do not count. */
export interface Unit {
  kind: 'text' | 'heading' | 'class'
  key: string
  text: string
  /** Of words: a word or phrase by its words, which may have signs. */
  words?: readonly string[]
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
      const words = e.kind === 'word' ? [e.text] : e.kind === 'phrase' ? e.words : undefined
      const unit = { kind: 'text', key: meaningOf(e).toLowerCase(), text: print(e) } as const
      return [words ? { ...unit, words } : unit]
    }
    default:
      return children(e).flatMap(unitsOf)
  }
}

/** Is what stands there a form of what was planned with a sign for any ending: as many words, each matched by its own? */
export function isFormOf(there: Unit, planned: Unit): boolean {
  const { words = [] } = there
  return (
    planned.words?.length === words.length &&
    planned.words.some(isMasked) &&
    planned.words.every((mask, n) => maskTest(mask)(foldWord(words[n]!)))
  )
}
