import fc from 'fast-check'
import { unzipSync } from 'fflate'
import mammoth from 'mammoth'
import { describe, expect, it } from 'vitest'
import { blocksOf, toHtml, toLatex, toMarkdown, withoutComments, type DocumentTree } from '..'
import { text, type Inline, type TextNode } from '../document'
import { targetsOf, withReferences, wordsOfCell } from './tree'
import { toWord } from './word'

const note = (words: string): Inline => ({ type: 'footnote', attrs: { words } })
const pointer = (to: string): Inline => ({ type: 'pointer', attrs: { to } })
const commented = (words: string, id: string, ...marks: ('italic' | 'bold')[]): TextNode => ({
  ...text(words),
  marks: [
    ...marks.map((type) => ({ type })),
    { type: 'comment', attrs: { id, by: 'H. Marrow', at: '2026-11-20T10:00:00Z', words: `Is ${id} so?` } },
  ],
})
const paragraph = (...content: Inline[]) => ({ type: 'paragraph', content })
const cellOf = (type: string, ...content: Inline[]) => ({ type, content: [paragraph(...content)] })
/** What the editor keeps of a table with a caption. */
const table = (id: string) => ({
  type: 'tableBlock',
  attrs: { id },
  content: [
    {
      type: 'tableCaption',
      content: [text('Rooms, '), { type: 'fact', attrs: { ref: 'a.fact' } }, note('All of them.')],
    },
    {
      type: 'table',
      content: [
        {
          type: 'tableRow',
          content: [
            cellOf('tableHeader', text('Room'), note('By its number.')),
            cellOf('tableHeader', { type: 'fact', attrs: { ref: 'a.fact' } }),
          ],
        },
        {
          type: 'tableRow',
          content: [cellOf('tableCell', text('Hall')), cellOf('tableCell', note('By ear.'))],
        },
      ],
    },
  ],
})
const tree = withReferences({
  title: 'Made by hand',
  blocks: [
    { kind: 'heading', level: 1, content: [text('One')] },
    ...blocksOf(
      [
        paragraph(
          text('As '),
          pointer('table:t'),
          text(' and '),
          pointer('appendix:B'),
          text(' show'),
          note('Told 3 < 4 times & more.'),
          text(', not '),
          pointer('table:gone'),
          text('. '),
          commented('these words', 'c1'),
          commented(' and these', 'c1', 'italic'),
          commented(' not those', 'c2'),
        ),
        table('t'),
      ],
      () => '41 dB',
    ),
    { kind: 'heading', level: 1, content: [text('Appendix B. Strategies')], page: true },
  ],
})

describe('what is put into the section by hand', () => {
  it('keeps a table with its caption, and the facts of its head in words', () => {
    const [own] = tree.blocks.filter((b) => b.kind === 'table')
    expect(own).toMatchObject({ id: 't', head: ['Room (b)', '41 dB'] })
    expect(own!.rows).toHaveLength(1)
    expect([...targetsOf(tree)]).toEqual([
      ['table:t', 'Table 1'],
      ['appendix:B', 'Appendix B'],
    ])
  })

  it('calls what is referred to as it is called, and says so where it is not here', () => {
    const [, first] = tree.blocks
    if (first?.kind !== 'paragraph') throw new Error('no paragraph')
    expect(wordsOfCell(first.content)).toMatch(
      /^As Table 1 and Appendix B show, not \[the table, which is not here\]\. these words/,
    )
  })

  it('has the notes of a table below it, by letters, wherever in the table they were put', () => {
    const [own] = tree.blocks.filter((b) => b.kind === 'table')
    expect(own!.notes?.map(wordsOfCell)).toEqual(['a All of them.', 'b By its number.', 'c By ear.'])
    expect(wordsOfCell(own!.caption)).toMatch(/ a$/)
    expect(wordsOfCell(own!.rows[0]![1]!)).toBe(' c')
    for (const write of [toMarkdown, toHtml, toLatex])
      expect(write(tree)).toMatch(/By its number\.[^]*By ear\./)
  })

  it('has notes at the foot in each form, in the order of their places', () => {
    expect(toMarkdown(tree)).toMatch(/show\[\^1\], not[^]*\[\^1\]: Told 3 \\< 4 times & more\.\n$/)
    const html = toHtml(tree)
    expect(html).toContain('show<sup id="note-1-from"><a href="#note-1">1</a></sup>')
    expect(html).toContain(
      '<li id="note-1">Told 3 &lt; 4 times &amp; more. <a href="#note-1-from">back</a></li>',
    )
    expect(toLatex(tree)).toContain('show\\footnote{Told 3 \\textless{} 4 times \\& more.}')
  })

  it('is in the Word file as an independent reader reads it: notes, and comments with who made them', async () => {
    const bytes = await toWord(tree)
    expect(await toWord(tree)).toEqual(bytes)
    const { value } = await mammoth.convertToHtml(
      { buffer: Buffer.from(bytes) },
      { styleMap: ['comment-reference => sup'] },
    )
    expect(value).toMatch(/show<sup><a href="#footnote-1"[^>]*>\[1\]<\/a><\/sup>/)
    expect(value).toContain('Told 3 &lt; 4 times &amp; more.')
    expect(value.indexOf('Is c1 so?')).toBeGreaterThan(0)
    expect(value.indexOf('Is c2 so?')).toBeGreaterThan(value.indexOf('Is c1 so?'))
    const files = unzipSync(bytes)
    const comments = new TextDecoder().decode(files['word/comments.xml'])
    expect(comments.match(/w:author="H\. Marrow"/g)).toHaveLength(2)
    const body = new TextDecoder().decode(files['word/document.xml'])
    // The first comment goes over two parts that stand otherwise, and is one.
    expect(body.match(/<w:commentRangeStart/g)).toHaveLength(2)
    expect(body.match(/<w:commentRangeEnd/g)).toHaveLength(2)
    const numbers = (of: string): string[] =>
      [...body.matchAll(new RegExp(`<w:${of}Reference w:id="(\\d+)"`, 'g'))].map((m) => m[1]!)
    expect(numbers('comment')).toHaveLength(2)
    expect(numbers('footnote')).toHaveLength(1)
    expect(numbers('comment').filter((n) => numbers('footnote').includes(n))).toEqual([])
  })

  it('hands no comment on where none belongs, and changes no word by that', () => {
    const mark = fc.constantFrom<TextNode>(
      text('a '),
      text('b ', 'italic'),
      commented('c ', 'x'),
      commented('d ', 'y', 'bold'),
    )
    fc.assert(
      fc.property(fc.array(mark), (content) => {
        const one: DocumentTree = { title: '', blocks: [{ kind: 'paragraph', content }] }
        const [without] = withoutComments(one).blocks
        expect(JSON.stringify(without)).not.toContain('comment')
        expect(without).toMatchObject({ kind: 'paragraph' })
        if (without?.kind === 'paragraph') expect(wordsOfCell(without.content)).toBe(wordsOfCell(content))
        for (const write of [toMarkdown, toHtml, toLatex]) expect(write(one)).not.toContain('so?')
      }),
    )
  })
})
