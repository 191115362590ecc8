import { expect, it } from 'vitest'
import { digestOf } from '../../base'
import { demoContext } from '../demo-context.fixture'
import { resolved, resolveFact, sectionDocument, toMarkdown } from '..'
import { GENERATOR } from './frozen-text'

/** What each version of the writer makes of the demo, by its digest. A package of another version is not held against it. */
const WROTE: Readonly<Record<number, string>> = {
  7: 'f50a32bfe93e73663e8f9ab83c21f99baf69d69ef823f5137a6bd52a65efdbbc',
}

it('writes the demo as its version does: who changes a word of the section raises the version', async () => {
  const context = await demoContext()
  const tree = resolved(sectionDocument(context), (ref) => resolveFact(context, ref).text)
  expect(digestOf(new TextEncoder().encode(toMarkdown(tree)))).toBe(WROTE[GENERATOR])
})
