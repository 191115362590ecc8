import fc from 'fast-check'
import mammoth from 'mammoth'
import { describe, expect, it } from 'vitest'
import { toHtml, toLatex, toMarkdown, type Block, type DocumentTree } from '..'
import { text } from '../document'
import { columnWidths, labelsOf } from './tree'
import { toWord } from './word'

const strange = 'a|b *c* _d_ <script>x</script> & 50 % #1 {e} \\f ~ ^ $g$ "h" `i`'
const tree: DocumentTree = {
  title: strange,
  blocks: [
    { kind: 'heading', level: 1, content: [text('One')] },
    { kind: 'paragraph', content: [text('plain '), text('slanted', 'italic'), text(strange)] },
    { kind: 'list', ordered: true, items: [[text('first')], [text(strange)]] },
    {
      kind: 'table',
      caption: [text('Counts')],
      head: ['Name', 'Number'],
      rows: [
        [[text(strange)], [text('1,204')]],
        [[text('two\nlines')], []],
      ],
      notes: [[text('a note')]],
    },
    {
      kind: 'figure',
      caption: [text('Drawn')],
      svg: '<svg width="10" height="10"></svg>',
      alt: 'ten by ten',
    },
    { kind: 'table', caption: [text('More')], head: ['x'], rows: [[[text('y')]]] },
  ],
}

describe('a document', () => {
  it('has its tables and figures numbered in their order, apart from each other', () => {
    expect([...labelsOf(tree).values()]).toEqual(['Table 1.', 'Figure 1.', 'Table 2.'])
  })

  it('says the same in each form: an independent reader finds the words of the Word file in the others', async () => {
    const { value } = await mammoth.extractRawText({ buffer: Buffer.from(await toWord(tree)) })
    const bare = (t: string): string => t.replace(/[^\p{L}\p{N}]/gu, '')
    for (const word of ['slanted', 'first', '1,204', 'a note', 'ten by ten', 'Counts', 'scriptxscript']) {
      expect(bare(value)).toContain(bare(word))
      for (const write of [toMarkdown, toHtml, toLatex])
        if (word !== 'ten by ten' || write !== toHtml)
          expect(bare(write(tree).replace(/&(?:lt|gt);|textless|textgreater/g, ''))).toContain(bare(word))
    }
  })

  it('lets no text become a tag, a command or the end of a cell', () => {
    expect(toHtml(tree)).not.toContain('<script>')
    const latex = toLatex(tree).slice(toLatex(tree).indexOf('\\begin{document}'))
    expect(latex).toContain('\\textbackslash{}f \\textasciitilde{} \\textasciicircum{} \\$g\\$')
    expect(latex.replace(/\\[&%#_{}$]/g, '')).not.toMatch(/[#$]/)
    const rows = toMarkdown(tree)
      .split('\n')
      .filter((l) => l.startsWith('| '))
    for (const row of rows.slice(0, 4)) expect(row.match(/(?<!\\)\|/g)).toHaveLength(3)
  })

  it('has the same bytes each time as a Word file', async () => {
    expect(Buffer.compare(await toWord(tree), await toWord(tree))).toBe(0)
  })

  it('has columns that share its width, the one with more to say never narrower', () => {
    const cellText = fc.string({ maxLength: 60 })
    fc.assert(
      fc.property(fc.array(fc.array(cellText, { minLength: 3, maxLength: 3 }), { minLength: 1 }), (rows) => {
        const table: Block & { kind: 'table' } = {
          kind: 'table',
          caption: [],
          head: ['a', 'b', 'c'],
          rows: rows.map((r) => r.map((t) => [text(t)])),
        }
        const widths = columnWidths(table)
        expect(widths.reduce((a, w) => a + w, 0)).toBeCloseTo(1)
        expect(Math.min(...widths)).toBeGreaterThan(0.02)
      }),
    )
    const [short, long] = columnWidths({
      head: ['n', 'text'],
      rows: [[[text('1')], [text('a much longer text that needs its room')]]],
    })
    expect(long).toBeGreaterThan(2 * short!)
  })
})
