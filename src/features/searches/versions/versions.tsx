'use client'
import { putStrategy } from '@/core/doing'
import { diffArrays } from 'diff'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { dateWords } from '@/core/account'
import { thousands } from '@/core/base'
import { limitWords, print, parse } from '@/core/query'
import { lineVersions, nameOfPerson, strategyVersions, type Line, type StrategyVersion } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import type { SourceInfo } from '@/standins/source-info'
import { KeptFiles } from '../outside/evidence'

const pieces = (text: string): string[] => text.match(/[\p{L}\p{N}*?]+|\s+|[^\p{L}\p{N}\s]/gu) ?? []

/** One text beside another: what went is struck through, what came is underlined. */
export function WordChanges({ was, is }: { was: string; is: string }) {
  const parts = useMemo(() => diffArrays(pieces(was), pieces(is)), [was, is])
  return (
    <span className="mono changes">
      {parts.map((p, i) =>
        p.added ? (
          <ins key={i}>{p.value.join('')}</ins>
        ) : p.removed ? (
          <del key={i}>{p.value.join('')}</del>
        ) : (
          <span key={i}>{p.value.join('')}</span>
        ),
      )}
    </span>
  )
}

const limitsOf = (line: Pick<Line, 'limits'>): string =>
  line.limits.length ? ` + ${line.limits.map(limitWords).join(' + ')}` : ''
const whole = (line: Pick<Line, 'text' | 'limits'> & { described?: string | undefined }): string => {
  if (line.described !== undefined) return line.described
  const { tree } = parse(line.text)
  return (tree ? print(tree) : line.text) + limitsOf(line)
}

/** The versions of the chosen line and of the strategy, compared with the present, and the way back to any. */
export function Versions({
  info,
  lines,
  chosen,
}: {
  info: SourceInfo
  lines: readonly Line[]
  chosen: Line | undefined
}) {
  const { commitEdit, deed, doIt } = useStore()
  const entries = useSession((s) => s.entries)
  const review = useSession((s) => s.folded.review)
  const { runs, attachments } = review
  const { source } = info
  const histories = attachments.filter(
    (a) => a.sourceId === source.id && !lines.some((l) => l.id === a.lineId),
  )
  const versions = useMemo(() => strategyVersions(entries, source.id, lines), [entries, source.id, lines])
  const [at, setAt] = useState<number>()
  const older = versions.slice(0, -1)
  const shown = older.find((v) => v.number === at) ?? older[older.length - 1]
  const own = useMemo(() => (chosen ? lineVersions(runs, chosen.id) : []), [runs, chosen])
  const back = (v: StrategyVersion): void =>
    deed(
      doIt(putStrategy, {
        sourceId: source.id,
        lines: v.lines.map((l) => ({ ...l })),
        why: 'an earlier version',
        ...(v.at ? { from: v.at } : {}),
      }),
    )
  return (
    <section className="versions" aria-label="Versions">
      <div>
        <h2>{chosen ? `Line ${lines.indexOf(chosen) + 1}, as it was run` : 'The line'}</h2>
        {!own.length && <p className="empty">It has not been run yet.</p>}
        {own.map((v, i) => (
          <p key={i} className="version-row">
            <span className="sub number">{thousands(v.hits)}</span>
            <span>
              {i === 0 ? (
                <span className="mono">{whole(v)}</span>
              ) : (
                <WordChanges was={whole(own[i - 1]!)} is={whole(v)} />
              )}
              <span className="sub">
                {' '}
                {dateWords(v.at)}, {v.by && nameOfPerson(review, v.by)}
                {chosen && v.described === undefined && whole(v) !== whole(chosen) && (
                  <>
                    {' · '}
                    <button
                      className="plain link"
                      onClick={() =>
                        deed(
                          commitEdit(`line-${chosen.id}`, {
                            kind: 'line.change',
                            payload: {
                              sourceId: source.id,
                              id: chosen.id,
                              text: v.text,
                              limits: [...v.limits],
                            },
                          }),
                        )
                      }
                    >
                      back to this
                    </button>
                  </>
                )}
              </span>
            </span>
          </p>
        ))}
      </div>
      <div>
        <h2>The strategy</h2>
        {!shown ? (
          <p className="empty">
            {versions.length ? 'It has one version so far.' : 'Each state in which it is run is kept here.'}
          </p>
        ) : (
          <>
            <p className="sub in-row wraps">
              {older.map((v) => (
                <button
                  key={v.number}
                  className="plain link"
                  style={v === shown ? { fontWeight: 600 } : {}}
                  onClick={() => setAt(v.number)}
                >
                  version {v.number}
                  {v.at && `, ${dateWords(v.at)}`}
                </button>
              ))}
              <span>beside the present one</span>
            </p>
            <Compared was={shown.lines} is={lines} />
            <Button size="small" className="above-2" onClick={() => back(shown)}>
              Back to version {shown.number}
            </Button>
          </>
        )}
        {histories.length > 0 && (
          <p className="log-deeds above-2">
            <span className="sub">kept with the strategy:</span>
            <KeptFiles files={histories} />
          </p>
        )}
      </div>
    </section>
  )
}

/** Two states of a strategy, line by line by their identity: changed words marked, lines that went and came. */
export function Compared({ was, is }: { was: readonly Line[]; is: readonly Line[] }) {
  const before = new Map(was.map((l) => [l.id, l]))
  const now = new Set(is.map((l) => l.id))
  const changed = is.flatMap((line, i) => {
    const old = before.get(line.id)
    return old && whole(old) === whole(line) ? [] : [{ line, old, number: i + 1 }]
  })
  const gone = was.filter((l) => !now.has(l.id))
  if (!changed.length && !gone.length) return <p className="sub">The same lines.</p>
  return (
    <>
      {changed.map(({ line, old, number }) => (
        <p key={line.id} className="version-row">
          <span className="sub number">{number}</span>
          {old ? (
            <WordChanges was={whole(old)} is={whole(line)} />
          ) : (
            <ins className="mono">{whole(line)}</ins>
          )}
        </p>
      ))}
      {gone.map((line) => (
        <p key={line.id} className="version-row">
          <span className="sub number">{was.indexOf(line) + 1}</span>
          <del className="mono">{whole(line)}</del>
        </p>
      ))}
    </>
  )
}
