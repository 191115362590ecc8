'use client'
import { putElsewhere } from '@/core/doing'
import { Button, Modal, Select } from 'antd'
import { useMemo, useState } from 'react'
import { plural } from '@/core/base'
import { limitState } from '@/core/profile'
import { parse, walk } from '@/core/query'
import type { Line, Review } from '@/core/review'
import { carryStrategy, lineToSend, removeLines, type Carried, type ToSend } from '@/core/strategy'
import { useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { useAsked } from '@/page/use-asked'
import { vocabularyDesk, type Match } from '@/workers'
import { CarryColumn } from './carry-column'

/** By heading: what was chosen over there; an empty list leaves it out, a missing one is not settled. */
export type Settled = Readonly<Record<string, readonly string[] | undefined>>

/** A strategy as it would stand in one source, with what there is to settle, and as it would be sent. */
export interface CarriedTo {
  to: SourceInfo
  carried: Carried
  settled: Settled
  /** Headings without a certain counterpart, each with what may be one. */
  asked: readonly string[]
  matches: Readonly<Record<string, readonly Match[]>>
  sent: readonly (ToSend | undefined)[]
  /** Lines that are there already and would go. */
  existing: number
}

/** Carries a strategy over to other sources: headings are put into their vocabularies, those without a counterpart are asked for. */
export function CarryDialog({
  review,
  from,
  infos,
  lines: given,
  add,
  close,
}: {
  review: Review
  from: SourceInfo
  infos: readonly SourceInfo[]
  lines: readonly Line[]
  /** Put behind the lines that are there, instead of in their place. */
  add: boolean
  close: (carriedTo?: string) => void
}) {
  const { deed, doIt } = useStore()
  const others = infos.filter((s) => s.source.id !== from.source.id)
  const [toIds, setToIds] = useState<readonly string[]>(() =>
    [others.find((s) => !(review.strategies[s.source.id] ?? []).length) ?? others[0]].flatMap((s) =>
      s ? [s.source.id] : [],
    ),
  )
  const chosen = useMemo(
    () => infos.filter((s) => s !== from && toIds.includes(s.source.id)),
    [infos, from, toIds],
  )
  // A search that was only described belongs to its source, with what is built on it.
  const lines = useMemo(() => {
    const ids = new Set(given.flatMap((l) => (l.described === undefined ? [] : [l.id])))
    const left = removeLines(given, ids, true)
    return left.ok ? left.value : given
  }, [given])
  const labels = useMemo(() => headingsIn(lines), [lines])
  const found = useMatches(from, chosen, labels)
  const [choices, setChoices] = useState<Readonly<Record<string, Settled>>>({})
  const settle = (toId: string, label: string, values: readonly string[] | undefined): void =>
    setChoices((c) => ({ ...c, [toId]: { ...c[toId], [label]: values } }))
  const all = chosen.map((to): CarriedTo => {
    const { id } = to.source
    const matches = found[id] ?? NONE
    const sure = automatic(matches)
    const settled: Settled = { ...sure, ...choices[id] }
    const carried = carryTo(to, lines, settled)
    return {
      ...{ to, carried, settled, matches },
      asked: to.vocabulary ? labels.filter((l) => !sure[l]) : [],
      sent: carried.lines.map((_, i) => to.profile && lineToSend(carried.lines, i + 1, to.profile)),
      existing: add ? 0 : (review.strategies[id]?.length ?? 0),
    }
  })
  const unsettled = all.reduce((n, c) => n + c.carried.unsettled.length, 0)
  const apply = (): void => {
    deed(
      doIt(putElsewhere, {
        from: from.source,
        to: all.map(({ to, carried }) => ({
          sourceId: to.source.id,
          lines: carried.lines,
          beside: add,
        })),
      }),
    )
    close(all[0]?.to.source.id)
  }
  return (
    <Modal
      open
      width={all.length > 1 ? 1180 : 820}
      title={
        add ? `Copy lines of ${from.short} to other sources` : `Carry the strategy of ${from.short} over`
      }
      onCancel={() => close()}
      footer={[
        <Button key="leave" onClick={() => close()}>
          Leave it
        </Button>,
        <Button key="apply" type="primary" disabled={!all.length || unsettled > 0} onClick={apply}>
          {deedWords(all, unsettled, add)}
        </Button>,
      ]}
    >
      <p className="carry-to">
        <span className="sub">to</span>
        <Select
          mode="multiple"
          size="small"
          aria-label="Sources to carry it to"
          placeholder="one source, or several"
          value={[...toIds]}
          optionFilterProp="label"
          options={others.map((s) => ({ value: s.source.id, label: s.source.name }))}
          onChange={(ids: string[]) => setToIds(ids)}
        />
      </p>
      <div className="carry-columns">
        {all.map((one) => (
          <CarryColumn
            key={one.to.source.id}
            review={review}
            one={one}
            several={all.length > 1}
            headed={labels.length > 0}
            settle={(label, values) => settle(one.to.source.id, label, values)}
          />
        ))}
      </div>
    </Modal>
  )
}

function deedWords(all: readonly CarriedTo[], unsettled: number, add: boolean): string {
  if (unsettled) return `${plural(unsettled, 'heading')} to settle`
  const [only, another] = all
  const where = another ? plural(all.length, 'source') : (only?.to.short ?? 'a source')
  if (add) return `Add ${plural(only?.carried.lines.length ?? 0, 'line')} to ${where}`
  const existing = all.reduce((n, c) => n + c.existing, 0)
  if (!existing) return `Write it for ${where}`
  return another
    ? `Write it for ${where}, replacing ${plural(existing, 'line')}`
    : `Replace the ${plural(existing, 'line')} of ${where}`
}

const carryTo = (to: SourceInfo, lines: readonly Line[], settled: Settled): Carried =>
  carryStrategy(lines, {
    heading: (label) => settled[label],
    hasLimit: (kind) => !to.profile || limitState(kind, to.profile) !== 'not available',
    // Of headings that nobody has seen there, none can be taken for a counterpart.
    hasVocabulary: to.vocabulary !== undefined,
  })

function headingsIn(lines: readonly Line[]): string[] {
  const found = new Set<string>()
  for (const line of lines) {
    const { tree } = parse(line.text)
    if (tree) for (const e of walk(tree)) if (e.kind === 'heading') found.add(e.label)
  }
  return [...found]
}

/** What needs nobody's decision: the same label over there, or one that is an entry term on either side. */
function automatic(matches: Readonly<Record<string, readonly Match[]>>): Settled {
  const sure = (m: Match): boolean =>
    m.reasons.some((r) => r.kind === 'same label' || r.kind === 'entry term')
  return Object.fromEntries(
    Object.entries(matches).flatMap(([label, [best]]) => (best && sure(best) ? [[label, [best.label]]] : [])),
  )
}

/** By source and heading, what may be its counterpart there. */
function useMatches(
  from: SourceInfo,
  chosen: readonly SourceInfo[],
  labels: readonly string[],
): Record<string, Record<string, readonly Match[]>> {
  const here = from.vocabulary?.key
  const { value } = useAsked(async () => {
    if (!here) return {}
    const ids = await Promise.all(labels.map((label) => vocabularyDesk().idOf(here, label)))
    const of = async ({ source, vocabulary }: SourceInfo) => {
      const there = vocabulary?.key
      const found = labels.map(async (label, n): Promise<[string, readonly Match[]]> => {
        const id = ids[n]
        return [label, id && there ? await vocabularyDesk().matches(here, id, there) : []]
      })
      return [source.id, Object.fromEntries(await Promise.all(found))] as const
    }
    return Object.fromEntries(await Promise.all(chosen.map(of)))
  }, [here, chosen, labels])
  return value ?? {}
}
const NONE: Record<string, readonly Match[]> = {}
