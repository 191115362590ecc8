import { fail, messageOf, problem, thousands, type Result } from '../base'
import type { Vocabulary } from './heading'
import { vocabularyOfQuads, type Statement } from './skos'

/** More than any vocabulary has; a small file with entities can make as much as it likes. */
const MOST_LETTERS = 100_000_000

/** Reads a vocabulary in SKOS from RDF/XML; see `readSkos` for what is mended. Fails where it is no RDF/XML. */
export async function readSkosXml(text: string, language = 'en'): Promise<Result<Vocabulary>> {
  // Loaded only when such a file comes: most vocabularies are Turtle.
  const { RdfXmlParser } = await import('rdfxml-streaming-parser')
  const quads: Statement[] = []
  try {
    await new Promise<void>((done, failed) => {
      const parser = new RdfXmlParser({ baseIRI: 'http://example.org/' })
      let letters = 0
      parser.on('data', (quad: Statement) => {
        letters += quad.object.value.length
        if (letters > MOST_LETTERS)
          failed(new Error(`what its entities stand for is more than ${thousands(MOST_LETTERS)} letters`))
        else quads.push(quad)
      })
      parser.on('error', failed)
      parser.on('end', () => done())
      parser.write(text)
      parser.end()
    })
  } catch (error) {
    const why = messageOf(error)
    return fail(problem('rdf-xml', 'error', `This is not RDF/XML: ${why}. Nothing was taken over.`))
  }
  return vocabularyOfQuads(quads, language)
}
