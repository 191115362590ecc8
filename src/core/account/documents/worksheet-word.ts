import {
  Document,
  HeadingLevel,
  Packer,
  PageOrientation,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
  WidthType,
} from 'docx'
import type { SheetTable, Worksheet } from './grid'

/** A worksheet as a Word file (bytes of a .docx), across the page. Import it only where a Word file is asked for. */
export async function worksheetWord({ title, parts }: Worksheet): Promise<Uint8Array> {
  const children = [
    new Paragraph({ text: title, heading: HeadingLevel.TITLE }),
    ...parts.flatMap(({ title: head, paragraphs, table }) => [
      new Paragraph({ text: head, heading: HeadingLevel.HEADING_1 }),
      ...paragraphs.map((text) => new Paragraph({ text, spacing: { after: 80 } })),
      ...(table ? [tableOf(table)] : []),
    ]),
  ]
  const file = new Document({
    creator: 'Luvren',
    title,
    styles: { default: { document: { run: { font: 'Georgia', size: 20 } } } },
    sections: [{ properties: { page: { size: { orientation: PageOrientation.LANDSCAPE } } }, children }],
  })
  return new Uint8Array(await Packer.toArrayBuffer(file))
}

function tableOf({ head, rows }: SheetTable): Table {
  const row = (cells: readonly string[], isHead: boolean): TableRow =>
    new TableRow({
      tableHeader: isHead,
      children: cells.map(
        (text) =>
          new TableCell({
            margins: { top: 60, bottom: 60, left: 80, right: 80 },
            children: [new Paragraph({ children: [new TextRun({ text, bold: isHead })] })],
          }),
      ),
    })
  return new Table({
    width: { size: 100, type: WidthType.PERCENTAGE },
    rows: [row(head, true), ...rows.map((r) => row(r, false))],
  })
}
