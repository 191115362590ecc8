import type { Command, CommandKind, CommandOf } from './commands'

export type StageName = 'question' | 'terms' | 'searches' | 'records' | 'selection' | 'methods'

/** Where on the screen the thing stands that a deed was done to. */
export interface Place {
  stage: StageName
  /** What to light up there: `line:…`, `source:…`, `concept:…`, `work:…`. */
  anchor?: string
  /** The sheet that has to be open for it. */
  sourceId?: string
}

type Placing = { [K in CommandKind]: (payload: CommandOf<K>['payload']) => Place | undefined }

const sheet = ({ sourceId }: { sourceId: string }): Place => ({
  stage: 'searches',
  sourceId,
  anchor: `source:${sourceId}`,
})
const line = (sourceId: string, id: string): Place => ({ stage: 'searches', sourceId, anchor: `line:${id}` })
const question = (anchor?: string): Place => ({ stage: 'question', ...(anchor ? { anchor } : {}) })
const ofConcept = (conceptId: string): Place => ({ stage: 'terms', anchor: `concept:${conceptId}` })

const PLACES: Placing = {
  'review.create': () => question(),
  'review.rename': () => question(),
  'question.set': () => question('question'),
  'framework.set': () => question('concepts'),
  'pick.add': () => question('question'),
  'pick.remove': () => question('question'),
  'concept.set': (p) => question(`concept:${p.id}`),
  'concept.remove': () => question('concepts'),
  'alternatives.set': () => question('concepts'),
  'alternatives.remove': () => question('concepts'),
  'limit.set': (p) => question(`limit:${p.id}`),
  'limit.remove': () => question('limits'),
  'criterion.set': () => question('criteria'),
  'criterion.remove': () => question('criteria'),
  'source.set': (p) => question(`source:${p.id}`),
  'source.remove': () => question('sources'),
  'known.add': () => question('known'),
  'known.set': () => question('known'),
  'known.remove': () => question('known'),
  'gap.set': (p) => ofConcept(p.conceptId),
  'gap.remove': () => ({ stage: 'terms' }),
  'vocabulary.import': (p) => ({ stage: 'terms', anchor: `source:${p.sourceId}` }),
  'vocabulary.remove': () => ({ stage: 'terms' }),
  'profile.set': () => question('sources'),
  'terms.set': (p) => ofConcept(p.terms[0]!.conceptId),
  'term.set': (p) => ofConcept(p.conceptId),
  'term.remove': () => ({ stage: 'terms' }),
  'strategy.draft': sheet,
  'line.add': (p) => line(p.sourceId, p.line.id),
  'line.change': (p) => line(p.sourceId, p.id),
  'line.move': (p) => line(p.sourceId, p.id),
  'line.remove': (p) => line(p.sourceId, p.id),
  'lines.remove': (p) => line(p.sourceId, p.ids[0]!),
  'strategy.set': sheet,
  'remark.leave': sheet,
  'remark.raise': () => ({ stage: 'searches' }),
  'run.log': (p) => line(p.sourceId, p.lineId),
  'records.import': () => ({ stage: 'records' }),
  'import.remove': () => ({ stage: 'records' }),
  'attachment.add': sheet,
  'attachment.remove': () => ({ stage: 'searches' }),
  'ruling.set': (p) => ({ stage: 'selection', anchor: `work:${p.workId}` }),
  'ruling.remove': (p) => ({ stage: 'selection', anchor: `work:${p.workId}` }),
  'account.voice': () => ({ stage: 'methods' }),
  'account.edit': (p) => ({ stage: 'methods', anchor: `passage:${p.passage}` }),
  'account.redraft': (p) => ({ stage: 'methods', anchor: `passage:${p.passage}` }),
  undo: () => undefined,
  redo: () => undefined,
}

/** Where the thing stands that a command was done to. */
export const placeOf = (command: Command): Place | undefined =>
  (PLACES[command.kind] as (payload: Command['payload']) => Place | undefined)(command.payload)
