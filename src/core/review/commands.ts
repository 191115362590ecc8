import { z } from 'zod'
import { Profile } from '../profile'
import { LimitValue } from '../query'
import {
  Concept,
  Criterion,
  Gap,
  Import,
  KnownItem,
  LeftRemark,
  Line,
  PassageContent,
  Pick,
  PlannedLimit,
  Ruling,
  Run,
  Source,
  Term,
  VocabularyFile,
  Voice,
} from './values'

const Id = z.string().min(1)

/** Everything that can be done to a review, by kind. Each becomes one entry of the journal. */
export const Command = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('review.create'), payload: z.object({ id: Id, title: z.string() }) }),
  z.object({ kind: z.literal('review.rename'), payload: z.object({ title: z.string() }) }),
  z.object({ kind: z.literal('question.set'), payload: z.object({ text: z.string().max(5000) }) }),
  z.object({ kind: z.literal('framework.set'), payload: z.object({ framework: z.string() }) }),
  z.object({ kind: z.literal('pick.add'), payload: Pick }),
  z.object({ kind: z.literal('pick.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('concept.set'), payload: Concept }),
  z.object({ kind: z.literal('concept.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('limit.set'), payload: PlannedLimit }),
  z.object({ kind: z.literal('limit.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('criterion.set'), payload: Criterion }),
  z.object({ kind: z.literal('criterion.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('source.set'), payload: Source }),
  z.object({ kind: z.literal('source.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('known.add'), payload: z.object({ items: z.array(KnownItem).min(1) }) }),
  z.object({ kind: z.literal('known.set'), payload: KnownItem }),
  z.object({ kind: z.literal('known.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('gap.set'), payload: Gap }),
  z.object({ kind: z.literal('gap.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('vocabulary.import'), payload: VocabularyFile }),
  z.object({ kind: z.literal('vocabulary.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('profile.set'), payload: Profile }),
  z.object({ kind: z.literal('terms.set'), payload: z.object({ terms: z.array(Term).min(1) }) }),
  z.object({ kind: z.literal('term.set'), payload: Term }),
  z.object({ kind: z.literal('term.remove'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('strategy.draft'), payload: z.object({ sourceId: Id, lines: z.array(Line) }) }),
  z.object({
    kind: z.literal('line.add'),
    payload: z.object({ sourceId: Id, line: Line, at: z.int().min(0).optional() }),
  }),
  z.object({
    kind: z.literal('line.change'),
    payload: z.object({
      sourceId: Id,
      id: Id,
      text: z.string().optional(),
      limits: z.array(LimitValue).optional(),
      note: z.string().optional(),
      conceptId: Id.optional(),
    }),
  }),
  z.object({
    kind: z.literal('line.move'),
    payload: z.object({ sourceId: Id, id: Id, to: z.int().min(0) }),
  }),
  z.object({
    kind: z.literal('lines.remove'),
    payload: z.object({ sourceId: Id, ids: z.array(Id).min(1) }),
  }),
  z.object({
    kind: z.literal('strategy.set'),
    payload: z.object({
      sourceId: Id,
      lines: z.array(Line),
      why: z.enum(['drafted anew', 'brought over', 'an earlier version']),
      /** The source it was brought over from, or when the earlier version was run. */
      from: z.string().optional(),
    }),
  }),
  z.object({ kind: z.literal('line.remove'), payload: z.object({ sourceId: Id, id: Id }) }),
  z.object({ kind: z.literal('remark.leave'), payload: LeftRemark }),
  z.object({ kind: z.literal('remark.raise'), payload: z.object({ id: Id }) }),
  z.object({ kind: z.literal('run.log'), payload: Run }),
  z.object({ kind: z.literal('records.import'), payload: Import }),
  z.object({ kind: z.literal('ruling.set'), payload: Ruling }),
  z.object({
    kind: z.literal('ruling.remove'),
    payload: z.object({ workId: Id, pass: z.enum(['broad', 'close']), reader: z.string() }),
  }),
  z.object({ kind: z.literal('account.voice'), payload: z.object({ voice: Voice }) }),
  z.object({ kind: z.literal('account.edit'), payload: z.object({ passage: Id, content: PassageContent }) }),
  z.object({ kind: z.literal('account.redraft'), payload: z.object({ passage: Id }) }),
  z.object({ kind: z.literal('undo'), payload: z.object({ seq: z.int().min(0) }) }),
  z.object({ kind: z.literal('redo'), payload: z.object({ seq: z.int().min(0) }) }),
])
export type Command = z.infer<typeof Command>
export type CommandKind = Command['kind']
export type CommandOf<K extends CommandKind> = Extract<Command, { kind: K }>

/** These stay whatever is undone: the review itself, and runs, which really happened. */
export const NOT_UNDOABLE: ReadonlySet<CommandKind> = new Set(['review.create', 'run.log', 'undo', 'redo'])

/** What a command did, in the words of the journal. */
export const DEED: Record<CommandKind, string> = {
  'review.create': 'review begun',
  'review.rename': 'title changed',
  'question.set': 'question written',
  'framework.set': 'framework chosen',
  'pick.add': 'words woven into a concept',
  'pick.remove': 'words taken out of a concept',
  'concept.set': 'concept set',
  'concept.remove': 'concept removed',
  'limit.set': 'limit planned',
  'limit.remove': 'limit taken out of the plan',
  'criterion.set': 'criterion written',
  'criterion.remove': 'criterion removed',
  'source.set': 'source set',
  'source.remove': 'source removed',
  'known.add': 'known items taken in',
  'known.set': 'known item corrected',
  'known.remove': 'known item removed',
  'gap.set': 'noted that a vocabulary has nothing for this',
  'gap.remove': 'note on a vocabulary taken back',
  'vocabulary.import': 'vocabulary read from a file',
  'vocabulary.remove': 'vocabulary taken out',
  'profile.set': 'database described',
  'terms.set': 'several terms set',
  'term.set': 'term set',
  'term.remove': 'term removed',
  'strategy.draft': 'strategy drafted',
  'line.add': 'line added',
  'line.change': 'line changed',
  'line.move': 'line moved',
  'line.remove': 'line removed',
  'lines.remove': 'lines removed',
  'strategy.set': 'strategy set',
  'remark.leave': 'remark left, with a reason',
  'remark.raise': 'remark raised again',
  'run.log': 'line run',
  'records.import': 'records brought in',
  'ruling.set': 'work ruled',
  'ruling.remove': 'ruling taken back',
  'account.voice': 'voice of the account chosen',
  'account.edit': 'account edited',
  'account.redraft': 'passage drafted anew',
  undo: 'undone',
  redo: 'done again',
}
