import { fail, problem, type Result } from '../base'
import type { Vocabulary } from './heading'
import { readSkosJsonLd } from './json-ld'
import { readSkosXml } from './rdf-xml'
import { readSkos } from './skos'
import { readTermList } from './term-list'

export type VocabularyFormat = 'turtle' | 'json-ld' | 'rdf-xml' | 'term list'

/** How a vocabulary file is written, told by its first signs; what has none of them is a plain list of terms. */
export function formatOf(text: string): VocabularyFormat {
  const start = text.replace(/^\uFEFF/, '').trimStart()
  if (/^[[{]/.test(start)) return 'json-ld'
  if (/^<\?xml|^<rdf:RDF|^<!DOCTYPE|^<!--/i.test(start)) return 'rdf-xml'
  const rows = start.split(/\r?\n/, 200)
  if (
    rows.some(
      (r) =>
        /^\s*(@prefix|@base|prefix\s+\S*:\s*<)/i.test(r) || /^\s*(<[^>\s]+>|_:\S+)\s+(<[^>\s]+>|a\b)/.test(r),
    )
  )
    return 'turtle'
  return 'term list'
}

/**
 * Reads a vocabulary from a file of any kind that is known here: SKOS as Turtle, N-Triples, JSON-LD or RDF/XML, or a
 * plain list of terms. `about` names it where the file does not.
 */
export async function readVocabulary(
  text: string,
  about: { id: string; title: string; version: string },
  format: VocabularyFormat = formatOf(text),
): Promise<Result<Vocabulary> & { format: VocabularyFormat }> {
  if (/^\uFEFF?\s*<(?:html|head|body|!doctype\s+html)\b/i.test(text))
    return {
      ...fail(
        problem(
          'web-page',
          'error',
          'This is a web page, not a vocabulary: it was saved from the browser, perhaps instead of the file that it links to. Save that file and choose it.',
        ),
      ),
      format,
    }
  const read = await READ[format](text, about)
  if (!read.ok) return { ...read, format }
  const value = read.value.title === UNTITLED ? { ...read.value, title: about.title } : read.value
  return { ...read, value, format }
}

const UNTITLED = 'Vocabulary without a title'
const READ: Record<
  VocabularyFormat,
  (
    text: string,
    about: { id: string; title: string; version: string },
  ) => Result<Vocabulary> | Promise<Result<Vocabulary>>
> = {
  turtle: (text) => readSkos(text),
  'json-ld': (text) => readSkosJsonLd(text),
  'rdf-xml': (text) => readSkosXml(text),
  'term list': readTermList,
}
