import { expect, it } from 'vitest'
import { digestOf } from '../../base'
import { demoContext } from '../demo-context.fixture'
import { resolved, resolveFact, sectionDocument, toMarkdown } from '..'
import { GENERATOR } from './frozen-text'

/** What each version of the writer makes of the demo, by its digest. A package of another version is not held against it. */
const WROTE: Readonly<Record<number, string>> = {
  7: '9c91ad240afe9729b7780483741ae6e9879f6ea7599085bae504304e143663e3',
}

it('writes the demo as its version does: who changes a word of the section raises the version', async () => {
  const context = await demoContext()
  const tree = resolved(sectionDocument(context), (ref) => resolveFact(context, ref).text)
  expect(digestOf(new TextEncoder().encode(toMarkdown(tree)))).toBe(WROTE[GENERATOR])
})
