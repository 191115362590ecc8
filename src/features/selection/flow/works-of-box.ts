import { waysOf } from '@/core/figures'
import { PASSED, type Flow, type Place } from '@/core/selection'
import type { Selected } from '../use-selected'

const PLACES: Readonly<Record<string, readonly Place[]>> = {
  removed: ['removed'],
  unread: ['unread'],
  screened: ['set aside', 'open', 'to settle', ...PASSED],
  'set aside': ['set aside'],
  open: ['open'],
  'to settle': ['to settle'],
  sought: PASSED,
  'not had': ['not had'],
  'not looked': ['to be sought'],
  awaited: ['sought'],
  assessed: ['close open', 'close to settle', 'out', 'included'],
  out: ['out'],
  'close open': ['close open'],
  'close to settle': ['close to settle'],
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
