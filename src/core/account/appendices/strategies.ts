import { thousands } from '../../base'
import { limitToTick, parse, print, type LimitValue } from '../../query'
import { nameOfPerson, standingRuns, type Review, type Run, type Source } from '../../review'
import { limitsToSend, linesThatCount } from '../../strategy'
import { cell, type Block } from '../documents/tree'
import { NOT_KNOWN } from '../documents/strategy-text'
import { text } from '../document'
import { takenOut } from '../taken-out'
import { waysTable } from './ways'
import { dateWords, runDaysOf, spellsOf, spellWords, type Spell } from '../words'
import type { AppendixContext } from './context'

export const STRATEGY_HEAD = ['Line', 'As sent', 'In plain notation', 'Limits', 'Hits', 'Run']

/** The lines of a source as they were run in one time of searching: of each number, the run that counted last. */
function linesOf(runs: readonly Run[], { first, last }: Spell): Run[] {
  const own = runs.filter((r) => r.at.slice(0, 10) >= first && r.at.slice(0, 10) <= last)
  // What was last run there, with the lines that stood in its strategy then: an earlier state has other keys.
  const latest = own.at(-1)
  const byNumber = new Map<number, Run>()
  for (const run of own) if (run.release === latest?.release) byNumber.set(run.number, run)
  return [...byNumber.values()].sort((a, b) => a.number - b.number)
}

const plain = (words: string): string => {
  const { tree } = parse(words)
  return tree ? print(tree) : words
}

/** B: each strategy as it was run, a table for each source and time of searching, so that it can be typed again. */
export const strategiesAppendix = (c: AppendixContext): Block[] => [
  ...strategiesBySource(c).flatMap((s) => s.blocks),
  ...waysTable(c.review),
]

/** The same source by source, also of those that were searched and taken out of the plan; a source without runs is none. */
export function strategiesBySource(c: AppendixContext): { name: string; blocks: Block[] }[] {
  const { review } = c
  const gone = takenOut(c).map(({ id, name, on }) => ({
    id,
    name: name || 'One more source',
    since: on ? `, taken out of the plan on ${dateWords(on)}` : ', taken out of the plan',
  }))
  return [...review.sources.filter((s) => s.kind === 'database'), ...gone].flatMap((s) => {
    const blocks = spellsOf(runDaysOf(review, s.id)).flatMap((spell) => tableOf(c, s, spell))
    return blocks.length ? [{ name: s.name, blocks }] : []
  })
}

function tableOf(
  c: AppendixContext,
  s: Pick<Source, 'id' | 'name'> & { since?: string },
  spell: Spell,
): Block[] {
  const { review } = c
  const runs = linesOf(
    standingRuns(review.runs).filter((r) => r.sourceId === s.id),
    spell,
  )
  if (!runs.length) return []
  const about = c.source(s.id)
  const profile = about?.profile
  const lines = runs.map((r): { id: string; text: string; limits: LimitValue[] } => ({
    id: r.lineId,
    text: r.text,
    limits: r.limits,
  }))
  // Where a database keeps no lines, a line is sent whole, with every limit that holds for it.
  const limits = limitsToSend(lines, !profile || profile.lines !== undefined)
  const noteOf = new Map((review.strategies[s.id] ?? []).map((l) => [l.id, l.note.trim()]))
  const counting = linesThatCount(review, s.id)
  const notes = runs.map((r) =>
    [
      noteOf.get(r.lineId),
      counting && !counting.has(r.lineId) ? 'tried, not used' : '',
      r.supersedes === undefined ? '' : correctionOf(review, r),
      readingOf(review, r),
      r.onScreen?.length
        ? `set on the screen there: ${r.onScreen.map((s) => `${s.what} (${s.where})`).join(', ')}`
        : '',
    ]
      .filter(Boolean)
      .join('; '),
  )
  const noted = notes.some(Boolean)
  // What was sent refers to lines by the numbers that they had there.
  const there = runs.some((r) => r.there !== undefined)
  const release = runs.at(-1)!.release
  const searched = about?.releaseWords ? about.releaseWords(release) : release
  return [
    {
      kind: 'table',
      caption: [text(`${s.name}${s.since ?? ''}, ${spellWords(spell)}${searched ? ` (${searched})` : ''}`)],
      head: [
        STRATEGY_HEAD[0]!,
        ...(there ? ['There'] : []),
        ...STRATEGY_HEAD.slice(1),
        ...(noted ? ['Note'] : []),
      ],
      rows: runs.map((run, n) => [
        cell(String(run.number)),
        ...(there ? [cell(run.there ?? String(run.number))] : []),
        cell(run.sent || (run.how === 'before' ? NOT_KNOWN : '')),
        cell(plain(run.text)),
        cell([...new Set(limits[n]!.map(limitToTick))].join('; ')),
        cell(thousands(run.hits)),
        cell(`${dateWords(run.at)}, ${run.by ? nameOfPerson(review, run.by) : ''}`.replace(/, $/, '')),
        ...(noted ? [cell(notes[n]!)] : []),
      ]),
      mono: there ? [2, 3] : [1, 2],
      wide: true,
    },
  ]
}

/** The count that was logged first, and why it was wrong. */
function correctionOf({ runs }: Review, run: Run): string {
  const first = runs.find((r) => r.id === run.supersedes)
  const was = first ? ` from ${thousands(first.hits)}` : ''
  return `corrected${was}: ${run.because?.trim() || 'no reason noted'}`
}

/** That its reading in plain notation was put right since, and why. */
const readingOf = ({ readings }: Review, run: Run): string => {
  const why = readings?.[run.id]?.why.trim()
  return why ? `reading put right: ${why}` : ''
}
