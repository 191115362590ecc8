import {
  AlignmentType,
  Bookmark,
  BorderStyle,
  CommentRangeEnd,
  CommentRangeStart,
  CommentReference,
  Document,
  ExternalHyperlink,
  Footer,
  FootnoteReferenceRun,
  HeadingLevel,
  ImageRun,
  InternalHyperlink,
  LevelFormat,
  Packer,
  PageNumber,
  PageOrientation,
  Paragraph,
  Table,
  TableCell,
  TableLayoutType,
  TableRow,
  TabStopType,
  TextRun,
  WidthType,
  XmlComponent,
  type FileChild,
  type ISectionOptions,
} from 'docx'
import { unzipSync, zipSync } from 'fflate'
import { withPlainSigns } from '../../base'
import type { TextComment } from '../document'
import { leadsIn } from './leads'
import { columnWidths, labelsOf, wordsOfCell, type Block, type Cell, type DocumentTree } from './tree'

/** A figure as a Word file needs it: outlined, and drawn for programs that show no outlines. */
export interface WordFigure {
  svg: Uint8Array
  png: Uint8Array
  width: number
  height: number
}

const LEVELS = [HeadingLevel.HEADING_1, HeadingLevel.HEADING_2, HeadingLevel.HEADING_3] as const
const MONO = 'Courier New'

/** What stands beside the text of a file: notes at the foot and what is said of words, in the order of their places. */
interface Beside {
  notes: string[]
  comments: TextComment[]
  /** What can be referred to, "Table 1" and "Appendix B", with the bookmark that stands there. */
  marks: ReadonlyMap<string, string>
}

/**
 * Comments are numbered beyond all notes: the format numbers the two apart, but LibreOffice 7.4 shows the words of another
 * note behind a comment whose number is that of a note.
 */
const COMMENTS_FROM = 100_000

/** What can stand in a line. */
type Run = TextRun | FootnoteReferenceRun | CommentRangeStart | CommentRangeEnd | ExternalHyperlink

/** Words as runs: addresses lead there, and what is called by its number is a field that follows the number. */
const leading = (words: string, style: object, { marks }: Beside): Run[] =>
  leadsIn(words, (called) => marks.has(called)).flatMap(({ words: own, address, called }): Run[] => {
    const run = new TextRun({ text: own, ...style })
    if (address) return [new ExternalHyperlink({ link: address, children: [run] })]
    return called ? field(` REF ${marks.get(called)!} \\h `, run) : [run]
  })

const runs = (content: Cell, beside: Beside, mono = false): Run[] =>
  content.flatMap((node, at): Run[] => {
    if (node.type === 'footnote') return [new FootnoteReferenceRun(beside.notes.push(node.attrs.words))]
    if (node.type !== 'text') return []
    const marks = node.marks?.map((m) => m.type) ?? []
    const said = leading(
      node.text,
      {
        italics: marks.includes('italic'),
        bold: marks.includes('bold'),
        ...(mono ? { font: MONO, size: 16 } : {}),
      },
      beside,
    )
    // Words that stand otherwise in the middle are several parts under one comment: it begins and ends once.
    const own = commentsOn(node)
    const [before, after] = [commentsOn(content[at - 1]), commentsOn(content[at + 1])]
    const begins = own.filter((c) => !before.some((b) => b.id === c.id))
    const ends = own.filter((c) => !after.some((a) => a.id === c.id))
    const numberOf = (c: TextComment): number => {
      const known = beside.comments.findIndex((k) => k.id === c.id)
      return COMMENTS_FROM + (known >= 0 ? known : beside.comments.push(c) - 1)
    }
    return [
      ...begins.map((c) => new CommentRangeStart(numberOf(c))),
      ...said,
      ...ends.flatMap((c) => [
        new CommentRangeEnd(numberOf(c)),
        new TextRun({ children: [new CommentReference(numberOf(c))] }),
      ]),
    ]
  })

const commentsOn = (node: Cell[number] | undefined): TextComment[] =>
  node?.type === 'text' ? (node.marks ?? []).flatMap((m) => (m.type === 'comment' ? [m.attrs] : [])) : []

/** A part of WordprocessingML for which the library has no class. */
class Part extends XmlComponent {
  constructor(name: string, attributes: Record<string, string> = {}, words?: string) {
    super(name)
    this.root.push({ _attr: attributes } as never)
    if (words !== undefined) this.root.push(words)
  }
}
const fieldRun = (part: Part): TextRun => new TextRun({ children: [part as never] })
/** A field with what it shows in it (ISO/IEC 29500-1, 17.16.2, complex fields), for readers that reckon no fields. */
const field = (instruction: string, shown: TextRun): TextRun[] => [
  fieldRun(new Part('w:fldChar', { 'w:fldCharType': 'begin' })),
  fieldRun(new Part('w:instrText', { 'xml:space': 'preserve' }, instruction)),
  fieldRun(new Part('w:fldChar', { 'w:fldCharType': 'separate' })),
  shown,
  fieldRun(new Part('w:fldChar', { 'w:fldCharType': 'end' })),
]
/** The name of the bookmark of what is called so. */
const markOf = (called: string): string => `_${called.replace(' ', '_')}`

/** "Table 3. …". Its number is a field of Word’s, and its name a bookmark to which text refers. */
function caption(label: string, content: Cell): Paragraph {
  const [word = '', number = ''] = label.replace(/\.$/, '').split(' ')
  return new Paragraph({
    style: 'Caption',
    keepNext: true,
    children: [
      new Bookmark({
        id: markOf(`${word} ${number}`),
        children: [new TextRun(`${word} `), ...field(` SEQ ${word} \\* ARABIC `, new TextRun(number))],
      }),
      new TextRun('. '),
      ...content.flatMap((n) => (n.type === 'text' ? [new TextRun({ text: n.text, italics: true })] : [])),
    ],
  })
}

/**
 * The contents as a field with its entries in it, each of which leads to its heading, so that they show before a program has
 * reckoned pages; the page of each is a field that an update fills.
 */
function contents(blocks: readonly Block[], headings: ReadonlyMap<Block, string>): Paragraph[] {
  const heads = blocks.flatMap((b) => (b.kind === 'heading' && b.level < 3 ? [b] : []))
  const begin = [
    fieldRun(new Part('w:fldChar', { 'w:fldCharType': 'begin' })),
    fieldRun(new Part('w:instrText', { 'xml:space': 'preserve' }, ' TOC \\o "1-2" \\h \\z ')),
    fieldRun(new Part('w:fldChar', { 'w:fldCharType': 'separate' })),
  ]
  return heads.length
    ? [
        ...heads.map(
          (b, n) =>
            new Paragraph({
              style: 'Contents',
              indent: { left: (b.level - 1) * 280 },
              tabStops: [{ type: TabStopType.RIGHT, position: 9_020 }],
              children: [
                ...(n ? [] : begin),
                new InternalHyperlink({
                  anchor: headings.get(b)!,
                  children: [new TextRun(wordsOfCell(b.content))],
                }),
                new TextRun('\t'),
                ...field(` PAGEREF ${headings.get(b)!} \\h `, new TextRun('')),
              ],
            }),
        ),
        new Paragraph({ children: [fieldRun(new Part('w:fldChar', { 'w:fldCharType': 'end' }))] }),
      ]
    : []
}

const LINE = { style: BorderStyle.SINGLE, size: 4, color: 'B5BDC4' } as const
const NONE = { style: BorderStyle.NONE, size: 0, color: 'auto' } as const

function table(b: Block & { kind: 'table' }, across: boolean, beside: Beside): Table {
  // In twentieths of a point, of what A4 leaves between margins of an inch.
  const room = across ? 13_950 : 9_020
  const widths = columnWidths(b).map((w) => Math.round(w * room))
  const cellOf = (children: Run[], n: number): TableCell =>
    new TableCell({
      width: { size: widths[n]!, type: WidthType.DXA },
      margins: { top: 45, bottom: 45, left: 0, right: 110 },
      children: [new Paragraph({ children, style: 'Cell' })],
    })
  return new Table({
    width: { size: room, type: WidthType.DXA },
    columnWidths: widths,
    layout: TableLayoutType.FIXED,
    borders: {
      top: LINE,
      bottom: LINE,
      insideHorizontal: LINE,
      left: NONE,
      right: NONE,
      insideVertical: NONE,
    },
    rows: [
      new TableRow({
        tableHeader: true,
        cantSplit: true,
        children: b.head.map((h, n) => cellOf([new TextRun({ text: h, bold: true })], n)),
      }),
      ...b.rows.map(
        (r) =>
          new TableRow({
            cantSplit: true,
            children: r.map((c, n) => cellOf(runs(c, beside, b.mono?.includes(n)), n)),
          }),
      ),
    ],
  })
}

function childrenOf(
  b: Block,
  label: string,
  figures: ReadonlyMap<string, WordFigure>,
  list: number,
  across: boolean,
  beside: Beside,
  headings: ReadonlyMap<Block, string>,
): FileChild[] {
  const own = (content: Cell): Run[] => runs(content, beside)
  switch (b.kind) {
    case 'heading':
      return [
        new Paragraph({
          heading: LEVELS[b.level - 1]!,
          // Bookmarks of this library do not hold each other: that of the contents stands before the words.
          children: [new Bookmark({ id: headings.get(b)!, children: [] }), ...headingRuns(b.content, beside)],
        }),
      ]
    case 'paragraph':
      return [new Paragraph({ children: own(b.content), style: b.note ? 'Note' : 'Body' })]
    case 'list':
      return b.items.map(
        (item) =>
          new Paragraph({
            children: own(item),
            numbering: { reference: b.ordered ? 'numbers' : 'bullets', level: 0, instance: list },
          }),
      )
    case 'quote':
      return b.content.map((c) => new Paragraph({ children: own(c), style: 'Quote' }))
    case 'table':
      return [
        ...(label ? [caption(label, b.caption)] : []),
        table(b, across, beside),
        ...(b.notes ?? []).map((n) => new Paragraph({ children: own(n), style: 'Note' })),
        new Paragraph({}),
      ]
    case 'figure': {
      const drawn = figures.get(b.svg)
      if (!drawn)
        return [new Paragraph({ children: [new TextRun(b.alt)], style: 'Body' }), caption(label, b.caption)]
      const width = Math.min(across ? ACROSS : UPRIGHT, drawn.width)
      const transformation = { width, height: Math.round((drawn.height / drawn.width) * width) }
      return [
        new Paragraph({
          alignment: AlignmentType.LEFT,
          keepNext: true,
          children: [
            new ImageRun({
              type: 'svg',
              data: drawn.svg,
              transformation,
              fallback: { type: 'png', data: drawn.png },
              altText: { name: label, title: wordsOfCell(b.caption), description: b.alt },
            }),
          ],
        }),
        caption(label, b.caption),
      ]
    }
  }
}

/** How wide a figure can be on a page, and across it; in pixels of Word, 96 to the inch. */
const [UPRIGHT, ACROSS] = [600, 930]
/** Text of a drawing stands in 12.5 of its units; below eight points nobody reads it in print. */
const isSmall = (drawn: WordFigure | undefined): boolean =>
  drawn !== undefined && (12.5 * 0.75 * Math.min(UPRIGHT, drawn.width)) / drawn.width < 8

/** A heading; of an appendix, its name is a bookmark of its own, to which text refers. */
function headingRuns(content: Cell, beside: Beside): (Run | Bookmark)[] {
  const words = wordsOfCell(content)
  const called = /^Appendix [A-Z]/.exec(words)?.[0]
  const bare: Beside = { ...beside, marks: new Map() }
  if (!called || !beside.marks.has(called)) return runs(content, bare)
  return [
    new Bookmark({ id: markOf(called), children: [new TextRun(called)] }),
    new TextRun(words.slice(called.length)),
  ]
}

/**
 * A document as a Word file: real headings with contents, tables whose heads are repeated, captions, figures with their
 * text. The same bytes for the same document. Kept apart from the other writers because it is heavy.
 */
export async function toWord(
  of: DocumentTree,
  figures: ReadonlyMap<string, WordFigure> = new Map(),
): Promise<Uint8Array> {
  // One sign that XML cannot hold, and no program opens the file.
  const tree = withPlainSigns(of).value
  const labels = labelsOf(tree)
  const heads = tree.blocks.filter((b) => b.kind === 'heading')
  const headings = new Map<Block, string>(heads.map((b, n) => [b, `_part_${n + 1}`]))
  const title = [
    new Paragraph({ text: tree.title, heading: HeadingLevel.TITLE }),
    ...(tree.short ? [] : contents(tree.blocks, headings)),
  ]
  // Wide tables lie across the page: what begins an appendix begins a section, which turns if it has such a table.
  const parts: Block[][] = [[]]
  for (const b of tree.blocks) {
    if (b.kind === 'heading' && b.page) parts.push([])
    parts[parts.length - 1]!.push(b)
  }
  const called = [
    ...[...labels.values()].map((l) => l.replace(/\.$/, '')),
    ...heads.flatMap((b) => /^Appendix [A-Z]/.exec(wordsOfCell(b.content))?.[0] ?? []),
  ]
  const beside: Beside = {
    notes: [],
    comments: [],
    marks: new Map(called.map((name) => [name, markOf(name)])),
  }
  let list = 0
  const sections = parts.map((part, n): ISectionOptions => {
    const turned = n > 0 || tree.short === true
    const small = turned && part.some((b) => b.kind === 'figure' && isSmall(figures.get(b.svg)))
    const across = small || (turned && part.some((b) => b.kind === 'table' && b.wide))
    return {
      properties: across
        ? {
            page: {
              size: { orientation: PageOrientation.LANDSCAPE },
              // Heading, drawing and caption stand on one page.
              ...(small ? { margin: { top: 850, bottom: 850 } } : {}),
            },
          }
        : {},
      footers: {
        default: new Footer({
          children: [
            new Paragraph({
              alignment: AlignmentType.RIGHT,
              style: 'Note',
              children: [new TextRun({ children: [PageNumber.CURRENT] })],
            }),
          ],
        }),
      },
      children: [
        ...(n ? [] : title),
        ...part.flatMap((b) =>
          childrenOf(
            b,
            labels.get(b) ?? '',
            figures,
            b.kind === 'list' ? ++list : 0,
            across,
            beside,
            headings,
          ),
        ),
      ],
    }
  })
  const level = (format: (typeof LevelFormat)[keyof typeof LevelFormat], text: string) => [
    {
      level: 0,
      format,
      text,
      alignment: AlignmentType.LEFT,
      style: { paragraph: { indent: { left: 560, hanging: 320 } } },
    },
  ]
  const paragraph = (id: string, size: number, more: object = {}) => ({
    id,
    name: id,
    basedOn: 'Normal',
    run: { size },
    paragraph: { spacing: { after: 120, line: 300 }, ...more },
  })
  const file = new Document({
    creator: tree.authors?.join('; ') || 'Luvren',
    lastModifiedBy: tree.authors?.[0] ?? 'Luvren',
    title: tree.title,
    numbering: {
      config: [
        { reference: 'numbers', levels: level(LevelFormat.DECIMAL, '%1.') },
        { reference: 'bullets', levels: level(LevelFormat.BULLET, '•') },
      ],
    },
    styles: {
      default: {
        document: { run: { font: 'Georgia', size: 23, language: { value: 'en-GB' } } },
        title: {
          run: { font: 'Georgia', size: 40, color: '1C242B' },
          paragraph: { spacing: { after: 240 } },
        },
        ...Object.fromEntries(
          [30, 25, 23].map((size, n) => [
            `heading${n + 1}`,
            {
              run: { font: 'Georgia', size, bold: true, color: '1C242B' },
              paragraph: { spacing: { before: 280, after: 120 }, keepNext: true },
            },
          ]),
        ),
      },
      paragraphStyles: [
        paragraph('Body', 23),
        paragraph('Contents', 21, { spacing: { after: 30 } }),
        paragraph('Note', 18, { spacing: { after: 60 } }),
        paragraph('Cell', 18, { spacing: { after: 0, line: 240 } }),
        paragraph('Quote', 22, { indent: { left: 560 } }),
        { ...paragraph('Caption', 20, { spacing: { before: 160, after: 80 } }), name: 'caption' },
      ],
    },
    sections,
    ...(beside.notes.length
      ? {
          footnotes: Object.fromEntries(
            beside.notes.map((words, n) => [
              n + 1,
              { children: [new Paragraph({ style: 'Note', children: [new TextRun(` ${words}`)] })] },
            ]),
          ),
        }
      : {}),
    ...(beside.comments.length
      ? {
          comments: {
            children: beside.comments.map(({ by, at, words }, n) => ({
              id: COMMENTS_FROM + n,
              author: by,
              date: new Date(at),
              children: [new Paragraph({ children: [new TextRun(words)] })],
            })),
          },
        }
      : {}),
  })
  return steady(new Uint8Array(await Packer.toArrayBuffer(file)), tree.day)
}

/** Of a document that is of no day. */
const DAY = '2026-01-01'
// A zip archive holds local time: the day is made from local parts, so that no time zone changes a byte.
const STAMP = new Date(2026, 0, 1)

/** The library names links by chance: in the document and its list of relations they are named by their order. */
function linksByOrder(files: Record<string, Uint8Array>): void {
  const names = new Map<string, string>()
  for (const part of ['word/document.xml', 'word/_rels/document.xml.rels']) {
    const own = files[part]
    if (!own) continue
    const said = new TextDecoder().decode(own).replace(/"(rId[\w-]{16,})"/g, (_all, id: string) => {
      if (!names.has(id)) names.set(id, `rIdLink${names.size + 1}`)
      return `"${names.get(id)!}"`
    })
    files[part] = new TextEncoder().encode(said)
  }
}

/** The same file without what differs each time: the time at which it was made, on its parts and in it, where its day stands. */
function steady(bytes: Uint8Array, day = DAY): Uint8Array {
  const files = unzipSync(bytes)
  const core = 'docProps/core.xml'
  if (files[core])
    files[core] = new TextEncoder().encode(
      new TextDecoder().decode(files[core]).replace(/\d{4}-\d\d-\d\dT[\d:.]+Z/g, `${day}T00:00:00Z`),
    )
  linksByOrder(files)
  const sorted = Object.keys(files).sort(
    (a, b) => Number(b === '[Content_Types].xml') - Number(a === '[Content_Types].xml') || (a < b ? -1 : 1),
  )
  return zipSync(Object.fromEntries(sorted.map((name) => [name, files[name]!])), { mtime: STAMP, level: 6 })
}
