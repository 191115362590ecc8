import {
  resolved,
  resolveFact,
  sectionDocument,
  toHtml,
  toLatex,
  toMarkdown,
  type DocumentTree,
} from '../core/account'
import { toWord } from '../core/account/documents/word'
import { plural } from '../core/base'
import { appendixContextOf, figuresIn, type HandedFrom, type ReadReview } from '../core/handed'
import { writeSkos } from '../core/vocabulary'
import { vocabularyOf, type SourceId } from '../standins/corpus/releases'
import { handedWith, readingOf } from '../standins/handed-with'
import { UsageError, type Arguments } from './arguments'
import { problemLine, type CliCommand, type Outcome } from './command'
import { rasteriserHere } from './figures'
import { openReviewFile, type OpenedReview } from './open-package'
import { handedOut } from './output'

const WRITERS: Record<string, (tree: DocumentTree) => Promise<string | Uint8Array> | string> = {
  docx: async (tree) => toWord(tree, figuresIn(tree, await rasteriserHere())),
  md: toMarkdown,
  html: toHtml,
  tex: toLatex,
}

/** What files for people are made from, here. */
export const handedFrom = async (read: ReadReview): Promise<HandedFrom> =>
  handedWith(read, await rasteriserHere(), (info) => writeSkos(vocabularyOf(info.id as SourceId)!))

/** The section of a review as a document, as the app hands it out. */
export function sectionOfPackage(opened: OpenedReview, args: Arguments): DocumentTree {
  const { review } = opened
  const voice = args.get('voice')?.[0]
  if (voice !== undefined && !['we', 'I', 'passive'].includes(voice))
    throw new UsageError(`--voice is we, I or passive, not "${voice}".`)
  const order = args.get('order')?.[0]
  if (order !== undefined && order !== 'theme' && order !== 'time')
    throw new UsageError(`--order is theme or time, not "${order}".`)
  const voiced = voice ? { ...review, account: { ...review.account, voice: voice as never } } : review
  const context = appendixContextOf(readingOf({ ...opened, review: voiced }))
  const telling = {
    order: (order ?? review.account.order ?? 'theme') as 'theme' | 'time',
    length: args.has('short') ? ('short' as const) : (review.account.length ?? 'full'),
  }
  return resolved(sectionDocument(context, telling), (ref) => resolveFact(context, ref).text)
}

async function account(args: Arguments): Promise<Outcome> {
  const [file, out] = args.get('') ?? []
  const form = args.get('to')?.[0] ?? out?.split('.').at(-1)?.toLowerCase() ?? ''
  const write = Object.hasOwn(WRITERS, form) ? WRITERS[form] : undefined
  if (!file || !out || !write)
    throw new UsageError(
      `Give a package and the file to write, which ends in .${Object.keys(WRITERS).join(', .')}; or - with --to and one of these.`,
    )
  const opened = await openReviewFile(file)
  if ('problems' in opened) return { exit: 1, errors: opened.problems.map(problemLine) }
  const tree = sectionOfPackage(opened, args)
  const made = await write(tree)
  return { exit: 0, ...handedOut(out, made, `${plural(tree.blocks.length, 'part')} written to ${out}.`) }
}

export const ACCOUNT_COMMANDS: Record<string, CliCommand> = {
  account: {
    help: 'write the methods section of a package with its tables and appendices: Word, Markdown, HTML or LaTeX',
    usage:
      'PACKAGE OUT.docx|.md|.html|.tex [--voice we|I|passive] [--order theme|time] [--to docx|md|html|tex] [--short]',
    note: '--to: the form, where the name of the file does not tell it, as with - for standard output.',
    example: 'review.luvren.zip section.docx --voice passive',
    files: true,
    options: { voice: 'value', order: 'value', to: 'value', short: 'flag' },
    run: account,
  },
}
