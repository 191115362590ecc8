import { fail, noJsonAt, problem, type Result } from '../base'
import type { Vocabulary } from './heading'
import { readSkos } from './skos'

/**
 * Reads a vocabulary in SKOS from JSON-LD. Contexts that would have to be fetched are refused with words: nothing is
 * fetched here, so the file must carry its context.
 */
export async function readSkosJsonLd(text: string, language = 'en'): Promise<Result<Vocabulary>> {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    return fail(
      problem(
        'json',
        'error',
        `This is not JSON from ${noJsonAt(text) ?? 'its start'} on. Nothing was taken over.`,
      ),
    )
  }
  if (typeof value !== 'object' || value === null)
    return fail(problem('json-ld', 'error', 'This is JSON but no JSON-LD: an object or a list is wanted.'))
  try {
    // Loaded only when such a file comes: most vocabularies are Turtle.
    const { default: jsonld } = await import('jsonld')
    const quads = await jsonld.toRDF(value, {
      format: 'application/n-quads',
      documentLoader: (url: string) => {
        throw new Error(
          `its context lies elsewhere (${url}) and nothing is fetched; put the context into the file`,
        )
      },
    })
    return readSkos(String(quads), language)
  } catch (error) {
    const cause = error as { message?: string; details?: { cause?: Error } }
    const why = cause.details?.cause?.message ?? cause.message ?? String(error)
    return fail(
      problem('json-ld', 'error', `This JSON-LD could not be read: ${why}. Nothing was taken over.`),
    )
  }
}
