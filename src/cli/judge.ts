import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { limitsInRow, limitToTick, or, print } from '../core/query'
import { recordFinder, type RecordFinder } from '../core/records'
import type { Review, Source } from '../core/review'
import { spellingPairs, termExpression, chosenLine, type RunCache } from '../core/strategy'
import { STANDINS, type OpenStandin } from '../standins'
import { JudgeDesk, type JudgedSearch, type PlannedLine } from '../workers/judge-desk'
import { judgedIn } from '../workers/judged-in'
import { planOf } from '../workers/judged-plan'
import { openedSources } from '../workers/opened-sources'
import { WordDesk, type ConceptTerms } from '../workers/word-desk'
import { required, UsageError, type Arguments } from './arguments'
import { problemLine, type CliCommand, type Outcome } from './command'
import { inputText } from './input'
import { openReviewFile } from './open-package'
import { ROOT } from './root'
import { loadStandin } from './standins'

/** The stand-ins as the desks of the app have them, each opened once; spellings as they were built for it. */
function sourcesHere() {
  const file = path.join(ROOT, 'public', 'data', 'spellings.json')
  const table = existsSync(file)
    ? (JSON.parse(readFileSync(file, 'utf8')) as Record<'american' | 'british', Record<string, string>>)
    : { american: {}, british: {} }
  const open = new Map<string, OpenStandin>()
  const finders = new Map<string, RecordFinder>()
  const caches = new Map<string, RunCache>()
  const once = <T>(map: Map<string, T>, key: string, make: () => T): T => {
    const known = map.get(key) ?? make()
    map.set(key, known)
    return known
  }
  const source = (key: string): OpenStandin => once(open, key, () => loadStandin(key))
  return openedSources({
    source,
    finder: (key) => once(finders, key, () => recordFinder(source(key).records)),
    cache: (key) => once(caches, key, () => new Map()),
    spellings: () => spellingPairs(table.american, table.british),
  })
}

/** The source of a review that a stand-in is, by the name it has here or there. */
function sourceOf(review: Review, name: string): Source {
  const found = review.sources.find((s) => [s.id, s.name, s.profileId].includes(name))
  if (!found) throw new UsageError(`The review has no source "${name}".`)
  if (!STANDINS.some((s) => s.id === found.profileId))
    throw new UsageError(`The records of ${found.name} lie outside: it can only be judged in the app.`)
  return found
}

/** Lines in plain notation, one a row, limits behind a tab. */
function sheetOf(text: string): PlannedLine[] {
  return text
    .split(/\r?\n/)
    .filter((row) => row.trim())
    .map((row, i) => {
      const [said = '', limits = ''] = row.split('\t')
      const read = limitsInRow(limits)
      if (read.unknown.length) throw new UsageError(`Line ${i + 1}: “${read.unknown[0]}” names no limit.`)
      return { id: `l${i + 1}`, text: said, limits: read.limits }
    })
}

async function judged(
  file: string,
  args: Arguments,
  linesOf: (review: Review, source: Source) => PlannedLine[],
): Promise<{ problems: string[] } | { search: JudgedSearch; desk: JudgeDesk }> {
  const opened = await openReviewFile(file)
  if ('problems' in opened) return { problems: opened.problems.map(problemLine) }
  const { review } = opened
  const source = sourceOf(review, required(args, 'source'))
  const sources = sourcesHere()
  const key = source.profileId!
  const own = linesOf(review, source)
  const chosen = chosenLine(review, source.id)?.id
  const search: JudgedSearch = {
    key,
    sourceId: source.id,
    lines: own,
    ...(own.some((l) => l.id === chosen) ? { countingId: chosen } : {}),
    plan: planOf(review),
    judged: judgedIn(opened, await sources.finder(key)),
  }
  return { search, desk: new JudgeDesk(sources) }
}

/** What a librarian would remark on lines for one source of a review, the same as on the screen. */
async function advise(args: Arguments): Promise<Outcome> {
  const text = args.get('lines')?.[0]
  const ready = await judged(required(args, 'plan'), args, (review, source) =>
    text === undefined ? (review.strategies[source.id] ?? []) : sheetOf(inputText(text)),
  )
  if ('problems' in ready) return { exit: 1, errors: ready.problems }
  const { search, desk } = ready
  const numberOf = (id: string | undefined): number | undefined =>
    id === undefined ? undefined : search.lines.findIndex((l) => l.id === id) + 1 || undefined
  const { remarks } = (await desk.judge(search))!
  const rows = remarks.map((r) => ({
    code: r.code,
    element: r.element,
    class: r.kind,
    line: numberOf(r.lineId) ?? null,
    message: `${r.message} ${r.why}`,
    gain: r.gain ?? null,
    fixes: r.fixes.map((f) => ({
      label: f.label,
      line: numberOf(f.lineId),
      text: f.text,
      ...(f.limits ? { limits: f.limits } : {}),
    })),
  }))
  return {
    exit: 0,
    output: args.has('json')
      ? JSON.stringify(rows)
      : rows
          .map((r) =>
            [
              r.message,
              ...r.fixes.map(
                (f) =>
                  `    ${f.label}: line ${f.line}: ${[f.text, f.limits?.map(limitToTick).join('; ')].filter(Boolean).join('  + ')}`,
              ),
            ].join('\n'),
          )
          .join('\n'),
  }
}

/** Known items against the lines of one source: which are found, and every cause of a miss. */
async function board(args: Arguments): Promise<Outcome> {
  const [file] = args.get('') ?? []
  if (!file) throw new UsageError('Give a package.')
  const ready = await judged(file, args, (review, source) => review.strategies[source.id] ?? [])
  if ('problems' in ready) return { exit: 1, errors: ready.problems }
  const { board: rows } = (await ready.desk.judge(ready.search))!
  const output = args.has('json')
    ? JSON.stringify(rows)
    : rows
        .map(
          (r) =>
            `${r.atLast ? 'found ' : 'missed'}  ${r.title}${r.causes.map((c) => `\n        ${c.words}`).join('')}`,
        )
        .join('\n')
  return { exit: 0, output }
}

/** What stands out in the known items and the works ruled in, with the concept that it is another word for. */
async function harvest(args: Arguments): Promise<Outcome> {
  const [file] = args.get('') ?? []
  if (!file) throw new UsageError('Give a package.')
  const opened = await openReviewFile(file)
  if ('problems' in opened) return { exit: 1, errors: opened.problems.map(problemLine) }
  const { review } = opened
  const sources = sourcesHere()
  const own = review.sources.filter((s) => STANDINS.some((i) => i.id === s.profileId))
  const good: Record<string, string[]> = {}
  for (const { profileId } of own) {
    const wanted = judgedIn(opened, await sources.finder(profileId!))
    good[profileId!] = [...new Set([...wanted.known.map((k) => k.recordId), ...wanted.in])]
  }
  const { offers, records } = await new WordDesk(sources).harvest(good, conceptTermsOf(review, own))
  const rows = offers.map((o) => ({
    kind: o.kind,
    text: o.text,
    source: own.find((s) => s.profileId === o.sourceId)?.name ?? null,
    concept: review.concepts.find((c) => c.id === o.conceptId)?.letter ?? null,
    good: o.good,
    rest: o.rest,
  }))
  return {
    exit: 0,
    output: args.has('json')
      ? JSON.stringify({ records, offers: rows })
      : rows
          .map((r) => `${r.concept ?? '?'}  ${r.text}${r.source ? ` (heading of ${r.source})` : ''}`)
          .join('\n'),
  }
}

/** The terms of each concept as one expression for each stand-in, and the words that say something by themselves. */
const conceptTermsOf = (review: Review, own: readonly Source[]): ConceptTerms[] =>
  review.concepts.map(({ id, name }) => {
    const terms = review.terms.filter((t) => t.conceptId === id && t.status === 'in use')
    const text: Record<string, string> = {}
    for (const source of own) {
      const asked = terms
        .filter((t) => t.sourceId === 'all' || t.sourceId === source.id)
        .flatMap((t) => termExpression(t) ?? [])
      text[source.profileId!] = asked.length ? print(or(...asked)) : ''
    }
    const words = [name, ...terms.map((t) => t.expression)]
      .flatMap((n) => n.toLowerCase().split(/[^\p{L}\p{N}]+/u))
      .filter((w) => w.length > 3)
    return { id, text, words: [...new Set(words)] }
  })

export const JUDGE_COMMANDS: Readonly<Record<string, CliCommand>> = {
  advise: {
    help: 'remark on the lines for one source of a review, as a librarian would, with ready changes',
    usage: '--plan PACKAGE --source SOURCE [--lines FILE]',
    note: 'Lines in plain notation, one a row, limits behind a tab (years=2017-2026; language=en). Without --lines those of the review are judged.',
    example: '--plan review.zip --source fernhollow --lines lines.txt --json',
    options: { plan: 'value', source: 'value', lines: 'value' },
    run: advise,
  },
  board: {
    help: 'hold the known items of a review against the lines of one source, with every cause of a miss',
    usage: 'PACKAGE --source SOURCE',
    example: 'review.zip --source fernhollow --json',
    options: { source: 'value' },
    files: true,
    run: board,
  },
  harvest: {
    help: 'offer words and headings that stand out in the good records of a review',
    usage: 'PACKAGE',
    example: 'review.zip --json',
    options: {},
    files: true,
    run: harvest,
  },
}
