import { heldEntries, plural } from '../core/base'
import { nameOfPerson, rulingsByWork, workOf } from '../core/review'
import {
  agreementAmong,
  drawFlow,
  flowText,
  flowWords,
  openMatters,
  type OwnRulings,
} from '../core/selection'
import { selfContained } from '../core/picture'
import { figureFonts, rasteriserHere } from './figures'
import { UsageError, type Arguments } from './arguments'
import { problemLine, type CliCommand, type Outcome } from './command'
import { openReviewFile, type OpenedReview } from './open-package'
import { writeOut } from './output'

const names = (args: Arguments, count: number, what: string): string[] => {
  const given = [...(args.get('') ?? [])]
  if (given.length !== count) throw new UsageError(`Give ${what}.`)
  return given
}

async function flow(args: Arguments): Promise<Outcome> {
  const [file] = names(args, 1, 'one package') as [string]
  const opened = await openReviewFile(file)
  if ('problems' in opened) return { exit: 1, errors: opened.problems.map(problemLine) }
  const { review, told } = opened
  const words = flowWords(review, (s) => s.name)
  const { faults, undecided } = openMatters(told.figures.flow)
  if (faults.length) return { exit: 1, errors: faults.map((f) => `error: the flow does not add up: ${f}`) }
  const svg = args.get('svg')?.[0]
  const png = args.get('png')?.[0]
  if (svg !== undefined) writeOut(svg, selfContained(drawFlow(told.figures.flow, words), figureFonts()))
  if (png !== undefined) writeOut(png, (await rasteriserHere()).png(drawFlow(told.figures.flow, words)))
  return {
    exit: 0,
    output: args.has('json') ? JSON.stringify(told.figures.flow) : flowText(told.figures.flow, words),
    errors: undecided ? [`${plural(undecided, 'work')} still between two boxes`] : [],
  }
}

/** How the readers of two copies of one review agree, of each pass; every two readers of both. */
async function agree(args: Arguments): Promise<Outcome> {
  const files = names(args, 2, 'two packages of the same review')
  const opened: OpenedReview[] = []
  for (const file of files) {
    const one = await openReviewFile(file)
    if ('problems' in one) return { exit: 1, errors: one.problems.map((p) => `${file}: ${problemLine(p)}`) }
    opened.push(one)
  }
  const [first, second] = opened as [OpenedReview, OpenedReview]
  if (first.review.id !== second.review.id)
    throw new UsageError('These are two reviews, not two copies of one.')
  const works = [...together(first, second)].map((own) => [own, undefined] as const)
  const called = (id: string): string =>
    [first, second].map((o) => nameOfPerson(o.review, id)).find((n) => n !== id) ?? id
  const passes = (['broad', 'close'] as const).map((pass) => ({
    pass,
    pairs: agreementAmong(works, pass).pairs.filter((p) => p.both > 0),
  }))
  const some = passes.some((p) => p.pairs.length)
  const lines = passes.flatMap(({ pass, pairs }) =>
    pairs.map(
      (p) =>
        `${pass} pass, ${called(p.first)} and ${called(p.second)}: ${plural(p.both, 'work')}, ${((p.agreed ?? 0) * 100).toFixed(1)} % alike, kappa ${
          p.kappa === undefined
            ? 'not to be reckoned'
            : `${p.kappa.toFixed(3)} (${p.interval ? `${p.interval[0].toFixed(3)} to ${p.interval[1].toFixed(3)}` : 'too few for an interval'})`
        }`,
    ),
  )
  return {
    exit: some ? 0 : 1,
    output: args.has('json') ? JSON.stringify(passes) : lines.join('\n'),
    errors: some ? [] : ['error: no two readers ruled the same work'],
  }
}

/** What both copies say of the works of the first: a reader who is in both says what they say in the first. */
function together(first: OpenedReview, second: OpenedReview): Iterable<OwnRulings> {
  const theirs = rulingsByWork(second.works, second.review).byWork
  const all = new Map<string, OwnRulings>(heldEntries(first.told.ruled.byWork))
  for (const [id, own] of heldEntries(theirs)) {
    const names = workOf(second.works.works, id)?.records ?? [id]
    const work = names.map((n) => workOf(first.works.works, n)).find((w) => w !== undefined)
    if (work) all.set(work.id, { ...own, ...all.get(work.id) })
  }
  return all.values()
}

export const SELECTION_COMMANDS: Record<string, CliCommand> = {
  flow: {
    help: 'tell and draw the way from what was identified to what is included',
    usage: 'PACKAGE [--svg OUT] [--png OUT]',
    note: 'Exit code 1 where the flow does not add up.',
    example: 'review.luvren.zip --svg flow.svg',
    files: true,
    options: { svg: 'value', png: 'value', json: 'flag' },
    run: flow,
  },
  agree: {
    help: 'say how every two readers of two copies of a review agree: percent, kappa with its 95 % interval',
    usage: 'A.luvren.zip B.luvren.zip',
    example: 'mine.luvren.zip theirs.luvren.zip',
    files: true,
    options: { json: 'flag' },
    run: agree,
  },
}
