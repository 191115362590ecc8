import { unzipSync } from 'fflate'
import { expect, it } from 'vitest'
import { text } from '../document'
import type { DocumentTree } from './tree'
import { toWord } from './word'

const tree: DocumentTree = {
  title: 'Rooms',
  authors: ['A. Quill', 'B. Rook'],
  day: '2026-05-04',
  blocks: [
    { kind: 'heading', level: 1, content: [text('Where')] },
    {
      kind: 'paragraph',
      content: [
        text(
          'Table 1 has them, Appendix B the rest, Table 9 is elsewhere: https://doi.org/10.5555/a.2020.1.',
        ),
      ],
    },
    { kind: 'table', id: 'x', caption: [text('Rooms')], head: ['Room'], rows: [[[text('loud')]]] },
    { kind: 'heading', level: 1, content: [text('Appendix B. Rest')], page: true },
  ],
}

it('has links, cross-references, page numbers, a language, its authors and its day', async () => {
  const files = unzipSync(await toWord(tree))
  const part = (name: string): string => new TextDecoder().decode(files[name])
  const body = part('word/document.xml')
  for (const [field, mark] of [
    ['REF _Table_1 ', '_Table_1'],
    ['REF _Appendix_B ', '_Appendix_B'],
  ] as const) {
    expect(body).toContain(field)
    expect(body.split(`w:name="${mark}"`)).toHaveLength(2)
  }
  // What is not here is referred to in words alone.
  expect(body).not.toContain('_Table_9')
  expect(body).toMatch(/<w:hyperlink [^>]*r:id="rIdLink1"/)
  expect(part('word/_rels/document.xml.rels')).toMatch(
    /Id="rIdLink1"[^>]*Target="https:\/\/doi\.org\/10\.5555\/a\.2020\.1"/,
  )
  // Every entry of the contents leads to a heading that is there.
  const anchors = [...body.matchAll(/w:anchor="([^"]+)"/g)].map((m) => m[1])
  expect(anchors).toHaveLength(2)
  for (const anchor of anchors) expect(body).toContain(`w:name="${anchor}"`)
  expect(part('word/footer1.xml')).toContain('PAGE')
  expect(part('word/styles.xml')).toContain('w:val="en-GB"')
  expect(part('docProps/core.xml')).toMatch(/<dc:creator>A\. Quill; B\. Rook<.*2026-05-04T00:00:00Z/)
})
