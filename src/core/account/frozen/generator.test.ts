import { expect, it } from 'vitest'
import { digestOf } from '../../base'
import { demoContext } from '../demo-context.fixture'
import { resolved, resolveFact, sectionDocument, toMarkdown } from '..'
import { GENERATOR } from './frozen-text'

/** What each version of the writer makes of the demo, by its digest. A package of another version is not held against it. */
const WROTE: Readonly<Record<number, string>> = {
  7: 'a9666296a67927900d4dce60067b0dca16f1b27a169fa384c842b88405918952',
  8: 'f4dc0ba694a735e67d738748c429a10098e5e8a78e6a4e104775f7bb3bc270e8',
  9: '0147cd4c3c1e7b5c1d0db6648566fcd2e459b2bcc8f7e482bf72edde336e29e2',
  10: 'cbf5b223845a3070d22c4ad68602e4bd05610781a183e8568bca12bd8f131c8e',
  11: 'd5e8f13da9c75fbed1976c10c2cb933df0cc5695d6ac447f01f34fde984e1f01',
  12: 'e614eef9687ee613aceb0f3115177c1e296235eb3c39720965cfeed22378dccc',
  13: 'e614eef9687ee613aceb0f3115177c1e296235eb3c39720965cfeed22378dccc',
}

it('writes the demo as its version does: who changes a word of the section raises the version', async () => {
  const context = await demoContext()
  const tree = resolved(sectionDocument(context), (ref) => resolveFact(context, ref).text)
  expect(digestOf(new TextEncoder().encode(toMarkdown(tree)))).toBe(WROTE[GENERATOR])
})
