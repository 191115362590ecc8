import { useDeferredValue, useMemo, useState } from 'react'
import { held } from '@/core/base'
import { waysOf } from '@/core/figures'
import { personId, workOf, type PassName, type Work } from '@/core/review'
import { askedBy, asksAgain, nextToRule, PASSED } from '@/core/selection'
import { useSession } from '@/page/provider'
import { useWhereabouts } from '@/page/whereabouts'
import { useNamedWorks } from '../../shared/named-works'
import type { Selected } from '../use-selected'
import type { Order } from './use-order'

/** Stands where a work would, once every work of the pass is ruled. */
const END = 'end of the pass'
/** Choices of which the works are those that fit now, and stay so while one rules. */
const KEPT = ['left', 'unsure', 'again']

/** The works of a pass, those of them that were chosen, and the one that is shown. */
export function usePassList(
  pass: PassName,
  selected: Selected,
  order: Order,
  /** Works that something else led to. */
  box: readonly string[] | undefined,
) {
  const { review, ruled, placed, reading, said } = selected
  const me = useSession((s) => s.person)
  const person = personId(review, me)
  const own = `${pass}/${person}`
  // What another person asked for is what is read first here; it can be put aside like any other choice of works.
  const asked = review.asked?.findLast((a) => a.pass === pass && a.by !== person)
  const [which, setWhich] = useState<string>(box ? 'box' : asked ? 'asked' : 'all')
  const named = useNamedWorks(review, /^(?:group|filter):/.test(which) ? which : undefined)
  const askedIds = (): ReadonlySet<string> =>
    new Set((asked?.records ?? []).flatMap((id) => workOf(ruled.works.works, id)?.id ?? []))
  const [snapshot, setSnapshot] = useState<ReadonlySet<string> | undefined>(() =>
    box ? new Set(box) : asked && askedIds(),
  )
  const version = review.criteriaVersions?.at(-1)
  const by = useMemo(() => version && askedBy(version, pass), [version, pass])
  // The list of the broad pass is the same whatever is ruled: what is shown of its works need not be fetched again.
  const closePlaced = pass === 'close' ? placed : undefined
  /** Every work that this pass is about. */
  const only = reading?.of[pass]
  const pool = useMemo(
    () =>
      only
        ? order.works.filter(({ id }) => only.has(id))
        : closePlaced
          ? order.works.filter(({ id }) => {
              const { place } = closePlaced(id)
              return PASSED.includes(place) && place !== 'not had'
            })
          : // A notice on another work is no work to be read.
            order.works.filter(({ id }) => said.get(id)?.noticeOf === undefined),
    [order.works, closePlaced, only, said],
  )
  const list = useMemo(() => {
    const wanted = /^(?:group|filter):/.test(which) ? named && new Set(named) : snapshot
    return wanted ? pool.filter(({ id }) => wanted.has(id)) : pool
  }, [pool, which, named, snapshot])
  const rulingOf = (id: string) => held(ruled.byWork, id)?.[own]
  // A number beside a choice: it may come a moment later than the next work.
  const ruledBefore = useDeferredValue(ruled.byWork)
  const again = useMemo(() => {
    if (!by) return 0
    return pool.reduce((n, { id }) => {
      const r = held(ruledBefore, id)?.[own]
      return n + (r && asksAgain(r, by) ? 1 : 0)
    }, 0)
  }, [pool, ruledBefore, own, by])
  const [stepped, setStepped] = useState<string>()
  const narrow = (to: string): void => {
    setWhich(to)
    setStepped(undefined)
    const fits = ({ id }: Work): boolean => {
      const ruling = rulingOf(id)
      if (to === 'left') return !ruling
      if (to === 'unsure') return ruling?.verdict === 'unsure'
      return ruling !== undefined && asksAgain(ruling, by)
    }
    if (to === 'box') return setSnapshot(new Set(box))
    if (to === 'asked') return setSnapshot(askedIds())
    if (to.startsWith('round:')) {
      const wayOf = waysOf(review)
      const round = to.slice('round:'.length)
      return setSnapshot(new Set(pool.filter((w) => wayOf(w).roundId === round).map((w) => w.id)))
    }
    setSnapshot(KEPT.includes(to) ? new Set(pool.filter(fits).map((w) => w.id)) : undefined)
  }
  // What was undone leads back to its work.
  const wanted = useWhereabouts((s) => s.wanted)
  const [led, setLed] = useState<string>()
  if (wanted?.startsWith('work:') && wanted !== led) {
    setLed(wanted)
    const shown = workOf(ruled.works.works, wanted.slice('work:'.length))
    if (shown) setStepped(shown.id)
  } else if (wanted === undefined && led !== undefined) setLed(undefined)
  const steppedAt = stepped === undefined ? -1 : list.findIndex((w) => w.id === stepped)
  const atEnd = stepped === END
  const at = atEnd
    ? list.length
    : steppedAt >= 0
      ? steppedAt
      : Math.max(
          0,
          list.findIndex((w) => !rulingOf(w.id)),
        )
  const work = list[at]
  /** Goes on behind a ruling: from one that was ruled before to the one behind it, else to the next that is left. */
  const next = (): void => {
    if (!work) return
    const behind = list[at + 1]
    if (rulingOf(work.id) && behind) return setStepped(behind.id)
    const found = nextToRule(list, pool, work.id, (id) => Boolean(rulingOf(id)))
    if (found?.of === 'pool') {
      setWhich('all')
      setSnapshot(undefined)
    }
    setStepped(found?.id ?? END)
  }
  return {
    list,
    work,
    at,
    atEnd: atEnd && list.length > 0,
    which,
    asked,
    again,
    narrow,
    next,
    back: () => setStepped(list[Math.max(0, at - 1)]?.id),
    ruling: work && rulingOf(work.id),
  }
}

export type PassList = ReturnType<typeof usePassList>
