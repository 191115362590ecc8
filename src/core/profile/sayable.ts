import { keptFor } from '../base'
import type { Expr } from '../query'
import { filled, formsOf, type Form } from './forms'
import { readFrom } from './read'
import type { Profile } from './schema'
import { inQuotes, maskText, maskWords } from './signs'

/**
 * What can be said in a database without being taken for something else there. The database's own reader is asked: a
 * word that is spelled like an operator, a nearness, a code or the number of a line needs quotes.
 */
interface Sayable {
  word: (text: string) => boolean
  quoted: (words: readonly string[]) => boolean
  loose: (words: readonly string[]) => boolean
  name: (form: Form, name: string) => string | undefined
}

const sayableIn = keptFor((profile: Profile): Sayable => {
  const forms = formsOf(profile)
  const or = forms.op('or') ?? 'or'
  /** Reads a text alone and beside others, which it must leave as they are. */
  const reads = (text: string, is: (e: Expr) => boolean): boolean => {
    const alone = readFrom(text, profile)
    if (!alone.tree || alone.problems.length > 0 || !is(alone.tree)) return false
    const { tree, problems } = readFrom(`qa ${or} ${text} ${or} qz`, profile)
    return problems.length === 0 && tree?.kind === 'or' && tree.parts.length === 3 && is(tree.parts[1]!)
  }
  const kept = <T>(find: (key: string) => T): ((key: string) => T) => {
    const known = new Map<string, T>()
    return (key) => {
      if (!known.has(key)) known.set(key, find(key))
      return known.get(key)!
    }
  }
  const same = (a: readonly string[], b: readonly string[]): boolean =>
    a.length === b.length && a.every((x, i) => x === b[i])
  // Beside a code that is a word itself ("… in ti") a word may be taken for a part of it.
  const wordy = forms.fields.filter((f) => /\s/.test(f.before + f.after))
  const word = kept((text) => {
    const is = (e: Expr): boolean => e.kind === 'word' && e.text === text
    const said = maskText(text, profile)
    return (
      reads(said, is) &&
      wordy.every((f) => {
        const { tree } = readFrom(filled(f, said), profile)
        return tree?.kind === 'fields' && is(tree.of)
      })
    )
  })
  const quoted = kept((text) => {
    const words = text.split(' ')
    const said = inQuotes(maskWords(words, profile), profile)
    return reads(said, (e) => e.kind === 'phrase' && !e.loose && same(e.words, words))
  })
  const loose = kept((text) => {
    const words = text.split(' ')
    const said = maskWords(words, profile)
    return reads(said, (e) => e.kind === 'phrase' && e.loose === true && same(e.words, words))
  })
  const names = keptFor((form: Form) =>
    kept((name) => {
      const is = (e: Expr): boolean =>
        form.means.role === 'heading'
          ? e.kind === 'heading' &&
            e.label === name &&
            e.below === form.means.below &&
            e.main === form.means.main
          : form.means.role === 'class' &&
            e.kind === 'class' &&
            e.code === name &&
            e.below === form.means.below
      return [name, inQuotes(name, profile)].find((n) => reads(filled(form, n), is))
    }),
  )
  return {
    word,
    quoted: (words) => quoted(words.join(' ')),
    loose: (words) => loose(words.join(' ')),
    name: (form, name) => names(form)(name),
  }
})

/** Can this word stand without quotes? */
export const bareWord = (text: string, profile: Profile): boolean => sayableIn(profile).word(text)
/** Do these words come back from between quotes as they are? */
export const quotedWords = (words: readonly string[], profile: Profile): boolean =>
  sayableIn(profile).quoted(words)
/** Are these words, side by side without quotes, taken for the same phrase? */
export const looseWords = (words: readonly string[], profile: Profile): boolean =>
  sayableIn(profile).loose(words)
/** A heading or code as it stands in its form, in quotes where it needs them; undefined where it cannot be said there. */
export const nameIn = (form: Form, name: string, profile: Profile): string | undefined =>
  sayableIn(profile).name(form, name)
