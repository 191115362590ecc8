import { moveLine, renumberLines } from '../strategy'
import type { Command, CommandKind, CommandOf } from './commands'
import type { Alternatives, Review } from './values'

type Apply = { [K in CommandKind]: (review: Review, payload: CommandOf<K>['payload']) => void }

/** Puts a value in the place of the one with the same id, or at the end. */
function put<T extends { id: string }>(list: T[], value: T): void {
  const at = list.findIndex((v) => v.id === value.id)
  if (at < 0) list.push(value)
  else list[at] = value
}

function drop<T extends { id: string }>(list: T[], id: string): void {
  const at = list.findIndex((v) => v.id === id)
  if (at >= 0) list.splice(at, 1)
}

/** Groups without these concepts; one that is left alone is no alternative. */
const withoutConcepts = (groups: readonly Alternatives[], ids: readonly string[]): Alternatives[] =>
  groups
    .map((a) => ({ ...a, conceptIds: a.conceptIds.filter((id) => !ids.includes(id)) }))
    .filter((a) => a.conceptIds.length > 1)

const APPLY: Apply = {
  'review.create': (r, p) => {
    r.id = p.id
    r.title = p.title
  },
  'review.rename': (r, p) => {
    r.title = p.title
  },
  'question.set': (r, p) => {
    r.question = p.text
    // Picked words are found again in the new wording; what is gone from it is no longer picked.
    r.picks = r.picks.flatMap((pick) => {
      const near = p.text.indexOf(pick.text, Math.max(0, pick.start - 40))
      const start = near >= 0 ? near : p.text.indexOf(pick.text)
      return start < 0 ? [] : [{ ...pick, start, end: start + pick.text.length }]
    })
  },
  'framework.set': (r, p) => {
    r.framework = p.framework
  },
  'pick.add': (r, p) => {
    // A word belongs to one concept: what overlaps gives way.
    r.picks = r.picks.filter((pick) => pick.end <= p.start || pick.start >= p.end)
    r.picks.push(p)
    r.picks.sort((a, b) => a.start - b.start)
  },
  'pick.remove': (r, p) => drop(r.picks, p.id),
  'concept.set': (r, p) => {
    put(r.concepts, p)
    r.concepts.sort((a, b) => (a.letter < b.letter ? -1 : 1))
  },
  'concept.remove': (r, p) => {
    drop(r.concepts, p.id)
    r.picks = r.picks.filter((pick) => pick.conceptId !== p.id)
    r.terms = r.terms.filter((t) => t.conceptId !== p.id)
    r.gaps = r.gaps.filter((g) => g.conceptId !== p.id)
    r.alternatives = withoutConcepts(r.alternatives, [p.id])
  },
  'alternatives.set': (r, p) => {
    // A concept is in one group at most: it leaves the one that it was in.
    r.alternatives = withoutConcepts(
      r.alternatives.filter((a) => a.id !== p.id),
      p.conceptIds,
    )
    r.alternatives.push(p)
  },
  'alternatives.remove': (r, p) => drop(r.alternatives, p.id),
  'limit.set': (r, p) => put(r.limits, p),
  'limit.remove': (r, p) => drop(r.limits, p.id),
  'criterion.set': (r, p) => put(r.criteria, p),
  'criterion.remove': (r, p) => drop(r.criteria, p.id),
  'source.set': (r, p) => put(r.sources, p),
  'source.remove': (r, p) => drop(r.sources, p.id),
  'known.add': (r, p) => p.items.forEach((item) => put(r.knownItems, item)),
  'known.set': (r, p) => put(r.knownItems, p),
  'known.remove': (r, p) => drop(r.knownItems, p.id),
  'gap.set': (r, p) => put(r.gaps, p),
  'gap.remove': (r, p) => drop(r.gaps, p.id),
  'vocabulary.import': (r, p) => {
    // A source has one vocabulary; a newer file takes the place of the older.
    r.vocabularies = r.vocabularies.filter((v) => v.sourceId !== p.sourceId)
    r.vocabularies.push(p)
  },
  'vocabulary.remove': (r, p) => drop(r.vocabularies, p.id),
  'profile.set': (r, p) => put(r.profiles, p),
  'terms.set': (r, p) => p.terms.forEach((term) => put(r.terms, term)),
  'term.set': (r, p) => put(r.terms, p),
  'term.remove': (r, p) => drop(r.terms, p.id),
  'strategy.draft': (r, p) => {
    r.strategies[p.sourceId] = p.lines
  },
  'line.add': (r, p) => {
    const before = r.strategies[p.sourceId] ?? []
    const after = [...before]
    after.splice(p.at ?? after.length, 0, p.line)
    r.strategies[p.sourceId] = renumberLines(before, after)
  },
  'line.move': (r, p) => {
    const before = r.strategies[p.sourceId] ?? []
    const moved = moveLine(
      before,
      before.findIndex((l) => l.id === p.id),
      p.to,
    )
    if (moved.ok) r.strategies[p.sourceId] = moved.value
  },
  'lines.remove': (r, p) => {
    const before = r.strategies[p.sourceId]
    if (!before) return
    const gone = new Set(p.ids)
    r.strategies[p.sourceId] = renumberLines(
      before,
      before.filter((l) => !gone.has(l.id)),
    )
  },
  'strategy.set': (r, p) => {
    r.strategies[p.sourceId] = p.lines
  },
  'line.change': (r, p) => {
    const line = r.strategies[p.sourceId]?.find((l) => l.id === p.id)
    if (!line) return
    if (p.text !== undefined && p.text !== line.text) {
      line.text = p.text
      line.drafted = false
    }
    if (p.limits !== undefined) line.limits = p.limits
    if (p.conceptId !== undefined) line.conceptId = p.conceptId
    if (p.note !== undefined) line.note = p.note
    if (p.described !== undefined) line.described = p.described
  },
  'line.remove': (r, p) => {
    const before = r.strategies[p.sourceId]
    if (!before) return
    r.strategies[p.sourceId] = renumberLines(
      before,
      before.filter((l) => l.id !== p.id),
    )
  },
  'remark.leave': (r, p) => put(r.leftRemarks, p),
  'remark.raise': (r, p) => drop(r.leftRemarks, p.id),
  'run.log': (r, p) => {
    r.runs.push(p)
  },
  'records.import': (r, p) => put(r.imports, p),
  'import.remove': (r, p) => drop(r.imports, p.id),
  'attachment.add': (r, p) => put(r.attachments, p),
  'attachment.remove': (r, p) => drop(r.attachments, p.id),
  'ruling.set': (r, p) => {
    ;(r.rulings[p.workId] ??= {})[`${p.pass}/${p.reader}`] = p
  },
  'ruling.remove': (r, p) => {
    const own = r.rulings[p.workId]
    if (own) delete own[`${p.pass}/${p.reader}`]
  },
  'account.voice': (r, p) => {
    r.account.voice = p.voice
  },
  'account.edit': (r, p) => {
    r.account.edited[p.passage] = p.content
  },
  'account.redraft': (r, p) => {
    delete r.account.edited[p.passage]
  },
  undo: () => undefined,
  redo: () => undefined,
}

/**
 * Changes `review` in place as the command says. Total: a command that meets nothing to work on changes nothing.
 * Hand it a draft where the old value is still needed.
 */
export function apply(review: Review, command: Command): void {
  const change = APPLY[command.kind] as (review: Review, payload: Command['payload']) => void
  change(review, command.payload)
}
