import { writeFileSync } from 'node:fs'
import {
  referencedWorks,
  resolved,
  resolveFact,
  sectionDocument,
  toHtml,
  toLatex,
  toMarkdown,
  withWorks,
  type DocumentTree,
  type Referenced,
} from '../core/account'
import { toWord, type WordFigure } from '../core/account/documents/word'
import { messageOf, plural } from '../core/base'
import { buildIndex } from '../core/engine'
import { judgedWorks, termAsks } from '../core/figures'
import { figureSize } from '../core/picture'
import { layColumns, referenceList, toDocument, WorkList, type Rec } from '../core/records'
import { styleEngine } from '../core/records/style'
import { flowWords } from '../core/selection'
import { sourceFactsOf } from '../store/source-facts'
import { sourceInfo } from '../store/source-info'
import { UsageError, type Arguments } from './arguments'
import { problemLine, type CliCommand, type Outcome } from './command'
import { rasteriserHere } from './figures'
import { openReviewFile, type OpenedReview } from './open-package'

const WRITERS: Record<string, (tree: DocumentTree) => Promise<string | Uint8Array> | string> = {
  docx: async (tree) => toWord(tree, await figuresOf(tree)),
  md: toMarkdown,
  html: toHtml,
  tex: toLatex,
}

/** The section of a review as a document, as the app hands it out. */
export function sectionOfPackage(
  { review, entries, works, told }: OpenedReview,
  args: Arguments,
): DocumentTree {
  const voice = args.get('voice')?.[0]
  if (voice !== undefined && !['we', 'I', 'passive'].includes(voice))
    throw new UsageError(`--voice is we, I or passive, not "${voice}".`)
  const order = args.get('order')?.[0]
  if (order !== undefined && order !== 'theme' && order !== 'time')
    throw new UsageError(`--order is theme or time, not "${order}".`)
  const voiced = voice ? { ...review, account: { ...review.account, voice: voice as never } } : review
  const list = new WorkList(layColumns(works.works), () =>
    buildIndex(works.works.map((w) => toDocument(w.record))),
  )
  const unchanging = { ruled: () => [], groups: () => [], isNew: () => false }
  const records = new Map(works.works.map((w) => [w.id, w.record]))
  const { included, excluded } = judgedWorks(review, told.ruled)
  const context = withWorks(
    {
      review: voiced,
      figures: told.figures,
      entries,
      yields: new Map(
        works.works.length
          ? termAsks(review).map(({ id, ask }) => [id, list.ask(ask, unchanging).places.length])
          : [],
      ),
      source: sourceFactsOf(review),
    },
    references(included, records),
    references(
      excluded.map((e) => e.id),
      records,
    ),
    excluded,
    flowWords(review, (s) => sourceInfo(review, s).short),
  )
  const telling = {
    order: (order ?? review.account.order ?? 'theme') as 'theme' | 'time',
    length: args.has('short') ? ('short' as const) : (review.account.length ?? 'full'),
  }
  return resolved(sectionDocument(context, telling), (ref) => resolveFact(context, ref).text)
}

function references(ids: readonly string[], records: ReadonlyMap<string, Rec>): Referenced[] {
  const works = ids.flatMap((id) => (records.has(id) ? [{ id, record: records.get(id)! }] : []))
  if (!works.length) return []
  return referencedWorks(
    works,
    referenceList(
      works.map((w) => w.record),
      styleEngine('apa'),
    ),
  )
}

async function figuresOf(tree: DocumentTree): Promise<Map<string, WordFigure>> {
  const drawing = await rasteriserHere()
  return new Map(
    tree.blocks.flatMap((b) =>
      b.kind === 'figure'
        ? [
            [
              b.svg,
              {
                svg: new TextEncoder().encode(drawing.outlined(b.svg)),
                png: drawing.png(b.svg),
                ...figureSize(b.svg),
              },
            ] as const,
          ]
        : [],
    ),
  )
}

async function account(args: Arguments): Promise<Outcome> {
  const [file, out] = args.get('') ?? []
  const write = WRITERS[out?.split('.').at(-1)?.toLowerCase() ?? '']
  if (!file || !out || !write)
    throw new UsageError(
      `Give a package and the file to write, which ends in .${Object.keys(WRITERS).join(', .')}.`,
    )
  const opened = await openReviewFile(file)
  if ('problems' in opened) return { exit: 1, errors: opened.problems.map(problemLine) }
  const tree = sectionOfPackage(opened, args)
  try {
    writeFileSync(out, await write(tree))
  } catch (error) {
    throw new UsageError(`${out} could not be written: ${messageOf(error)}`)
  }
  return { exit: 0, output: `${plural(tree.blocks.length, 'part')} written to ${out}.` }
}

export const ACCOUNT_COMMANDS: Record<string, CliCommand> = {
  account: {
    help: 'The methods section of a package with its tables and appendices, as Word, Markdown, HTML or LaTeX.',
    usage: 'account PACKAGE OUT.docx|.md|.html|.tex [--voice we|I|passive] [--order theme|time] [--short]',
    files: true,
    options: { voice: 'value', order: 'value', short: 'flag' },
    run: account,
  },
}
