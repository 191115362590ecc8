import { fail, ok, problem, type Result } from '../../base'
import { unescaped } from './list'

/** A style that a person brought in: its file, and the title that it bears. */
export interface OwnStyle {
  title: string
  text: string
}

const refuse = (code: string, words: string): Result<OwnStyle> => fail(problem(code, 'error', words))

/** Reads a file of CSL as a style for references; says in words why one cannot be used. */
export function readStyle(text: string): Result<OwnStyle> {
  const own = text.replace(/^\uFEFF/, '').trim()
  const head = /<style\b[^>]*>/.exec(own)?.[0]
  if (!head || !/purl\.org\/net\/xbiblio\/csl/.test(head) || !/<\/style>\s*$/.test(own))
    return refuse(
      'style-form',
      'This is no style of the Citation Style Language: it has no whole element “style”. Such files end in .csl.',
    )
  if (/<!DOCTYPE|<!ENTITY/i.test(own))
    return refuse('style-entities', 'This style defines entities of its own; such files are not read.')
  const title = unescaped(/<title\b[^>]*>([^<]*)<\/title>/.exec(own)?.[1] ?? '').trim()
  if (/<link\b[^>]*rel="independent-parent"/.test(own))
    return refuse(
      'style-dependent',
      `${title || 'This style'} only points to another style. Bring in the style that it points to: ${/<link\b[^>]*href="([^"]*)"[^>]*rel="independent-parent"/.exec(own)?.[1] ?? 'see its element “link”'}.`,
    )
  if (!/<bibliography\b/.test(own))
    return refuse(
      'style-bibliography',
      `${title || 'This style'} sets no reference list: it has notes alone.`,
    )
  if (!/\bversion="1\.0/.test(head))
    return refuse('style-version', 'Only styles of version 1.0 of the language are read; this one is older.')
  return ok({ title: title || 'A style without a title', text: own })
}
