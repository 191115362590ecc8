import { waysOf } from '@/core/figures'
import type { Flow, Place } from '@/core/selection'
import type { Selected } from '../use-selected'

const PLACES: Readonly<Record<string, readonly Place[]>> = {
  removed: ['removed'],
  unread: ['unread'],
  screened: ['set aside', 'open', 'sought', 'not had', 'close open', 'out', 'included'],
  'set aside': ['set aside'],
  open: ['open'],
  sought: ['sought', 'not had', 'close open', 'out', 'included'],
  'not had': ['not had'],
  awaited: ['sought'],
  assessed: ['close open', 'out', 'included'],
  out: ['out'],
  'close open': ['close open'],
  included: ['included'],
}

/** The works behind a box of the flow, by id: those that came by its column first, in its round, and are where it says. */
export function worksOfBox({ review, works, placed }: Selected, flow: Flow, box: string): string[] {
  const [round = '', column = '', name = ''] = box.split('/')
  const { rounds } = flow
  const wayOf = waysOf(review)
  return works.flatMap((work) => {
    const { id, records } = work
    const way = wayOf(work)
    const ofRound = round === 'all' || way.roundId === rounds[Number(round)]?.roundId
    if (!ofRound || (column !== 'all' && way.column !== column)) return []
    if (name === 'duplicates') return records.length > 1 ? [id] : []
    const wanted = PLACES[name]
    return !wanted || wanted.includes(placed(id).place) ? [id] : []
  })
}
