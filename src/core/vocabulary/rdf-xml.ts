import { fail, messageOf, problem, type Result } from '../base'
import type { Vocabulary } from './heading'
import { vocabularyOfQuads, type Statement } from './skos'

/** Reads a vocabulary in SKOS from RDF/XML; see `readSkos` for what is mended. Fails where it is no RDF/XML. */
export async function readSkosXml(text: string, language = 'en'): Promise<Result<Vocabulary>> {
  // Loaded only when such a file comes: most vocabularies are Turtle.
  const { RdfXmlParser } = await import('rdfxml-streaming-parser')
  const quads: Statement[] = []
  try {
    await new Promise<void>((done, failed) => {
      const parser = new RdfXmlParser({ baseIRI: 'http://example.org/' })
      parser.on('data', (quad: Statement) => quads.push(quad))
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
