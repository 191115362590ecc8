'use client'
import { Button, Modal, Select } from 'antd'
import { useMemo, useState } from 'react'
import { listed, plural } from '@/core/base'
import { limitState } from '@/core/profile'
import { limitWords, parse, walk } from '@/core/query'
import type { Line, Review } from '@/core/review'
import { appendLines, carryStrategy, lineToSend, removeLines, type Carried } from '@/core/strategy'
import { isLikely } from '@/core/vocabulary'
import { useStore } from '@/store/provider'
import type { SourceInfo } from '@/standins/source-info'
import { useAsked } from '@/store/use-asked'
import { vocabularyDesk, type Match } from '@/workers'
import { QueryText } from '../sheet/query-text'

/** By heading: what was chosen over there; an empty list leaves it out, a missing one is not settled. */
type Settled = Readonly<Record<string, readonly string[] | undefined>>

/** Carries a strategy over to another source: headings are put into its vocabulary, those without a counterpart are asked for. */
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
  const { act, deed, newId } = useStore()
  const others = infos.filter((s) => s.source.id !== from.source.id)
  const [toId, setToId] = useState(
    (others.find((s) => !(review.strategies[s.source.id] ?? []).length) ?? others[0])?.source.id,
  )
  const to = others.find((s) => s.source.id === toId)
  // A search that was only described belongs to its source, with what is built on it.
  const lines = useMemo(() => {
    const ids = new Set(given.flatMap((l) => (l.described === undefined ? [] : [l.id])))
    const left = removeLines(given, ids, true)
    return left.ok ? left.value : given
  }, [given])
  const labels = useMemo(() => headingsIn(lines), [lines])
  const matches = useMatches(from, to, labels)
  const [choices, setChoices] = useState<{ toId: string | undefined; of: Settled }>({ toId, of: {} })
  const settled: Settled = useMemo(
    () => ({ ...automatic(matches), ...(choices.toId === toId ? choices.of : {}) }),
    [matches, choices, toId],
  )
  const carried = to && carryTo(to, lines, settled)
  const sent = carried?.lines.map((_, i) => to?.profile && lineToSend(carried.lines, i + 1, to.profile)) ?? []
  const losses = [...new Set(sent.flatMap((s) => s?.losses.map((l) => l.why) ?? []))]
  const asked = to?.vocabulary ? labels.filter((l) => !automatic(matches)[l]) : []
  const existing = (toId && review.strategies[toId]?.length) || 0
  const apply = (): void => {
    if (!to || !carried) return
    // Each line gets an identity of its own there: its runs are not the runs here.
    deed(
      act('strategy.set', {
        sourceId: to.source.id,
        lines: appendLines(
          add ? (review.strategies[to.source.id] ?? []) : [],
          carried.lines.map((l): Line => ({ ...l, id: newId(), note: '', drafted: false })),
        ),
        why: 'brought over',
        from: from.source.name,
      }),
    )
    close(to.source.id)
  }
  return (
    <Modal
      open
      width={820}
      title={
        add ? `Copy lines of ${from.short} to another source` : `Carry the strategy of ${from.short} over`
      }
      onCancel={() => close()}
      footer={[
        <Button key="leave" onClick={() => close()}>
          Leave it
        </Button>,
        <Button
          key="apply"
          type="primary"
          disabled={!carried || carried.unsettled.length > 0}
          onClick={apply}
        >
          {carried?.unsettled.length
            ? `${plural(carried.unsettled.length, 'heading')} to settle`
            : add
              ? `Add ${plural(carried?.lines.length ?? 0, 'line')} to ${to?.short ?? 'a source'}`
              : existing
                ? `Replace the ${plural(existing, 'line')} of ${to?.short}`
                : `Write it for ${to?.short ?? 'a source'}`}
        </Button>,
      ]}
    >
      <p style={{ display: 'flex', gap: 10, alignItems: 'center' }}>
        <span className="sub">to</span>
        <Select
          size="small"
          style={{ minWidth: 240 }}
          aria-label="Source to carry it to"
          value={toId ?? null}
          options={others.map((s) => ({ value: s.source.id, label: s.source.name }))}
          onChange={setToId}
        />
        {to && !to.vocabulary && labels.length > 0 && (
          <span className="sub">
            It has no vocabulary: headings are asked for as words in title, abstract and keywords.
          </span>
        )}
      </p>
      {asked.length > 0 && (
        <>
          <h2 style={{ marginTop: 14 }}>Headings without a certain counterpart</h2>
          {asked.map((label) => (
            <div key={label} className="carry-row">
              <span>{label}</span>
              <Select
                mode="multiple"
                optionFilterProp="label"
                size="small"
                aria-label={`${label} becomes`}
                placeholder="choose, or leave it out"
                value={[...(settled[label] ?? [])]}
                options={options(matches[label] ?? [], review, to!)}
                onChange={(values: string[]) =>
                  setChoices((c) => ({
                    toId,
                    of: { ...(c.toId === toId ? c.of : {}), [label]: values.length ? values : undefined },
                  }))
                }
              />
              <button
                className="plain link sub"
                onClick={() =>
                  setChoices((c) => ({ toId, of: { ...(c.toId === toId ? c.of : {}), [label]: [] } }))
                }
              >
                {settled[label]?.length === 0 ? 'left out' : 'leave it out'}
              </button>
            </div>
          ))}
        </>
      )}
      {carried && (
        <>
          <h2 style={{ marginTop: 14 }}>As it will stand</h2>
          {carried.lines.map((l, i) => (
            <p key={l.id} className="version-row">
              <span className="sub number">{i + 1}</span>
              <span title={sent[i]?.text}>
                <QueryText text={l.text} />
                {l.limits.length > 0 && (
                  <span className="sub"> + {l.limits.map(limitWords).join(' + ')}</span>
                )}
              </span>
            </p>
          ))}
          {losses.length > 0 && (
            <p className="note">
              <b>Said otherwise there:</b> {losses.join('; ')}.
            </p>
          )}
          {carried.lostLimits.length > 0 && (
            <p className="note">
              <b>Not to be had there:</b> {listed([...new Set(carried.lostLimits.map((l) => l.limit.kind))])}.
              The lines stand without.
            </p>
          )}
        </>
      )}
    </Modal>
  )
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

function options(
  matches: readonly Match[],
  review: Review,
  to: SourceInfo,
): { value: string; label: string }[] {
  const planned = review.terms
    .filter((t) => t.sourceId === to.source.id && t.kind === 'heading' && t.status === 'in use')
    .map((t) => t.expression)
  // Records that carry both are about the same question, whether or not the headings mean the same.
  const found = new Map(matches.map((m) => [m.label, isLikely(m.reasons) ? 'likely' : 'look at it']))
  return [...new Set([...found.keys(), ...planned])].map((value) => ({
    value,
    label: `${value} · ${found.get(value) ?? 'in your grid'}`,
  }))
}

function useMatches(
  from: SourceInfo,
  to: SourceInfo | undefined,
  labels: readonly string[],
): Record<string, readonly Match[]> {
  const [here, there] = [from.vocabulary?.key, to?.vocabulary?.key]
  const { value } = useAsked(async () => {
    if (!here || !there) return NONE
    const found = labels.map(async (label): Promise<[string, readonly Match[]]> => {
      const id = await vocabularyDesk().idOf(here, label)
      return [label, id ? await vocabularyDesk().matches(here, id, there) : []]
    })
    return Object.fromEntries(await Promise.all(found))
  }, [here, there, labels])
  return value ?? NONE
}
const NONE: Record<string, readonly Match[]> = {}
