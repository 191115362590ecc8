import fc from 'fast-check'
import { unzipSync } from 'fflate'
import { SaxesParser } from 'saxes'
import { expect, it } from 'vitest'
import { trials } from '../../base/trials.fixture'
import { escapedXml } from '../../picture'
import { text } from '../document'
import type { DocumentTree } from './tree'
import { toHtml } from './html'
import { toWord } from './word'

/** What a parser of XML that shares nothing with us says against a text. */
function faultsOf(xml: string): string[] {
  const faults: string[] = []
  const parser = new SaxesParser()
  parser.on('error', (e) => faults.push(e.message))
  parser.write(xml).close()
  return faults
}

/** Letters, signs of mark-up, and signs that no XML may hold. */
const words = fc
  .array(
    fc.oneof(
      fc.string({ unit: 'binary', maxLength: 6 }),
      fc.constantFrom('\u000b', '\u0000', '\ud800', '\uffff', ' rooms '),
    ),
    {
      minLength: 1,
      maxLength: 8,
    },
  )
  .map((parts) => parts.join(''))

it(
  'writes Word files and figures that every reader of XML takes, whatever a title holds',
  { timeout: 120_000 },
  async () => {
    await fc.assert(
      fc.asyncProperty(words, async (title) => {
        const tree: DocumentTree = {
          title,
          blocks: [
            { kind: 'heading', level: 1, content: [text(title)] },
            {
              kind: 'paragraph',
              content: [text(title), { type: 'footnote', attrs: { words: title } } as never],
            },
            { kind: 'table', caption: [text(title)], head: [title], rows: [[[text(title)]]] },
          ],
        }
        for (const [name, bytes] of Object.entries(unzipSync(await toWord(tree))))
          if (name.endsWith('.xml')) expect(faultsOf(new TextDecoder().decode(bytes)), name).toEqual([])
        expect(faultsOf(`<svg a="${escapedXml(title)}">${escapedXml(title)}</svg>`)).toEqual([])
        expect(toHtml(tree)).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/)
      }),
      { numRuns: trials(30, 300) },
    )
  },
)
