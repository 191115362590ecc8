import {
  protocolDocument,
  readFrozen,
  resolved,
  resolveFact,
  sectionDocument,
  strategyText,
  toHtml,
  toLatex,
  toMarkdown,
  type AppendixContext,
} from '../account'
import { plainJson, holdsNothing } from '../base'
import type { Rasteriser } from '../picture'
import { cslJsonPieces, writeRis } from '../records'
import { plainReview, type Source } from '../review'
import { searchedIn } from '../figures'
import { checklistFiles, databaseFiles, overlapFiles, type WordsFile } from './evidence-files'
import { appendixContextOf, type HandedFrom } from './from'
import { leftOutWords } from './left-out'
import { indexPage, type HandedFile } from './index-page'
import { encodedPieces, inPieces } from './pieces'
import { plainName } from './plain-name'
import { rulingsTable, worksTable } from './tables'

/** Where the strategy of a source lies in a package; two sources that are called alike get numbers. */
export function strategyPath({ review, short }: HandedFrom, source: Source): string {
  const name = plainName(short(source))
  const alike = review.sources.filter((s) => s.kind === 'database' && plainName(short(s)) === name)
  const nth = alike.findIndex((s) => s.id === source.id)
  return `strategies/${name}${nth > 0 ? `-${nth + 1}` : ''}.txt`
}

const LICENCES = `All rights in this review remain with the people who made it.

The letters in the figures are Atkinson Hyperlegible Next (SIL Open Font License 1.1).
Records that came from a database may stand under terms of that database: abstracts above all.
The invented databases, their vocabularies and their profiles are part of Luvren (MIT licence).
`

/**
 * Everything that is made from a review for people who read it without Luvren, by its path in the package; each file is made
 * when its bytes are asked for, for some are large. The same review always gives the same bytes.
 */
export async function handedFiles(
  from: HandedFrom,
  frozen: (digest: string) => Uint8Array | undefined,
): Promise<Map<string, HandedFile>> {
  const { review, works, drawing } = from
  const files = new Map<string, HandedFile>()
  const text = (path: string, about: string, content: () => string): void => {
    files.set(path, { about, bytes: () => new TextEncoder().encode(content()) })
  }
  const context = appendixContextOf(from)
  await section(from, context, files)
  const protocol = protocolDocument(review)
  if (protocol) text('protocol.html', 'the plan as it was frozen', () => toHtml(protocol))
  for (const [n, { digest, name }] of (review.frozenTexts ?? []).entries()) {
    const bytes = frozen(digest)
    const read = bytes && readFrozen(bytes)
    if (read?.ok)
      text(`frozen/${n + 1}-${plainName(name)}.html`, `the text “${name}” as it was frozen`, () =>
        toHtml(read.value.tree),
      )
  }
  for (const source of searchedIn(review))
    text(strategyPath(from, source), `the strategy in ${source.name}, line by line`, () =>
      strategyText(context, source),
    )
  const records = works.works.map((w) => w.record)
  if (records.length) {
    const large = (path: string, about: string, content: () => Iterable<string>): void => {
      files.set(path, { about, bytes: () => encodedPieces(content()) })
    }
    large('records/works.ris', 'the works, as RIS', () => inPieces(records, writeRis))
    large('records/works.json', 'the works, as CSL-JSON', () => cslJsonPieces(records))
    large('records/works.csv', 'each work with its records, its sources and its place in the flow', () =>
      worksTable(from),
    )
  }
  if (!holdsNothing(review.rulings))
    text('selection/rulings.csv', 'every ruling as it stands', () => rulingsTable(review))
  if (context.flow) {
    const { svg, text: inWords } = context.flow
    figure(files, drawing, 'flow', 'the flow', svg)
    text('figures/flow.txt', 'the flow in words', () => `${inWords}\n`)
  }
  const overlap = overlapFiles(from)
  if (overlap) figure(files, drawing, 'overlap', 'what the sources have in common', overlap.svg)
  const borne: WordsFile[] = [...(overlap?.files ?? []), ...checklistFiles(context), ...databaseFiles(from)]
  for (const [path, about, content] of borne) text(path, about, content)
  text('review.json', 'the review as the journal comes to', () => `${plainJson(plainReview(review))}\n`)
  text('licences.txt', 'whose this is', () => LICENCES)
  const others = new Map(files)
  text('index.html', 'the section with its evidence, to be read in a browser: begin here', () =>
    indexPage(context, leftOutWords(from.entries, from.textsMissing), others),
  )
  return files
}

/** A figure in both forms. */
function figure(
  files: Map<string, HandedFile>,
  drawing: Rasteriser,
  name: string,
  about: string,
  svg: string,
): void {
  const outlined = (): Uint8Array => new TextEncoder().encode(drawing.outlined(svg))
  files.set(`figures/${name}.svg`, { about: `${about} as a figure`, bytes: outlined })
  files.set(`figures/${name}.png`, { about: `${about} as a picture`, bytes: () => drawing.png(svg) })
}

/** The section in the forms that people go on with. */
async function section(
  from: HandedFrom,
  context: AppendixContext,
  files: Map<string, HandedFile>,
): Promise<void> {
  const tree = resolved(sectionDocument(context), (ref) => resolveFact(context, ref).text)
  const put = (ending: string, about: string, bytes: () => Uint8Array): void => {
    files.set(`account/section.${ending}`, { about: `the section with its appendices, ${about}`, bytes })
  }
  const encoded = (words: string): Uint8Array => new TextEncoder().encode(words)
  put('md', 'as Markdown', () => encoded(toMarkdown(tree)))
  put('tex', 'as LaTeX', () => encoded(toLatex(tree)))
  const word = await from.word(tree)
  put('docx', 'as Word', () => word)
}
