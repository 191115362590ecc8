import { plainSigns } from '@/core/base'
import { unescaped, type Reference } from '@/core/records'

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')

/** References as a page of their own, with a hanging indent. */
export const referencesHtml = (references: readonly Reference[], title: string): string =>
  `<!doctype html>
<html lang="en"><meta charset="utf-8"><title>${escaped(title)}: references</title>
<style>body{font:12pt/1.6 Georgia,serif;max-width:42em;margin:3em auto;padding:0 1em}p{margin:0 0 .6em;padding-left:2em;text-indent:-2em}</style>
<h1>References</h1>
${references.map((r) => `<p>${r.html}</p>`).join('\n')}
</html>
`

/** References as plain text, one a line. */
export const referencesText = (references: readonly Reference[]): string =>
  references.map((r) => `${r.text}\n`).join('\n')

/** References as a Word document, with a hanging indent; italics and the like kept. */
export async function referencesWord(references: readonly Reference[]): Promise<Uint8Array> {
  const { Document, HeadingLevel, Packer, Paragraph, TextRun } = await import('docx')
  const entries = references.map(
    (r) =>
      new Paragraph({
        indent: { left: 720, hanging: 720 },
        spacing: { after: 120, line: 360 },
        children: runsOf(r.html).map((run) => new TextRun(run)),
      }),
  )
  const made = new Document({
    styles: { default: { document: { run: { font: 'Times New Roman', size: 24 } } } },
    sections: [
      { children: [new Paragraph({ text: 'References', heading: HeadingLevel.HEADING_1 }), ...entries] },
    ],
  })
  return new Uint8Array(await (await Packer.toBlob(made)).arrayBuffer())
}

interface Run {
  text: string
  italics?: boolean
  bold?: boolean
  superScript?: boolean
  subScript?: boolean
}

/** The parts of a reference, each with how it looks. */
export function runsOf(html: string): Run[] {
  const on = { i: 0, b: 0, sup: 0, sub: 0 }
  const runs: Run[] = []
  for (const [part] of html.matchAll(/<\/?(?:i|b|sup|sub)>|[^<]+|</g)) {
    const tag = /^<(\/?)(i|b|sup|sub)>$/.exec(part)
    if (tag) on[tag[2] as keyof typeof on] += tag[1] ? -1 : 1
    else
      runs.push({
        text: plainSigns(unescaped(part)),
        ...(on.i > 0 ? { italics: true } : {}),
        ...(on.b > 0 ? { bold: true } : {}),
        ...(on.sup > 0 ? { superScript: true } : {}),
        ...(on.sub > 0 ? { subScript: true } : {}),
      })
  }
  return runs
}
