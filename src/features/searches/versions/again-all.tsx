'use client'
import { chooseLatest } from '@/core/doing'
import { Button } from 'antd'
import { useMemo, useState } from 'react'
import { listed, plural, thousands } from '@/core/base'
import type { ComeAndGone } from '@/core/records'
import type { Review } from '@/core/review'
import { LATEST, releaseWords } from '@/standins'
import type { SourceInfo } from '@/standins/source-info'
import { useSession, useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import css from './again-all.module.css'
import { BringNew } from './bring-new'
import { askAgain, earlierOf, occasionsIn, occasionWords, type RunBefore } from './occasions'
import { foundAnew } from './update-round'

interface Compared {
  info: SourceInfo
  before: RunBefore
  after: RunBefore
}

/** Every source at once: run again in a newer release, and what came and went since each was run before. */
export function AgainAll({
  review,
  infos,
  open,
  runAll,
}: {
  review: Review
  infos: readonly SourceInfo[]
  open: (sourceId: string) => void
  runAll: (sourceIds: readonly string[]) => void
}) {
  const { deed, doIt } = useStore()
  const entries = useSession((s) => s.entries)
  const [wanted, setWanted] = useState(false)
  const older = infos.filter((i) => i.standin && i.release !== LATEST)
  const compared = useMemo(
    () =>
      infos.flatMap((info): Compared[] => {
        const occasions = occasionsIn(
          entries,
          review,
          info.source.id,
          review.strategies[info.source.id] ?? [],
        )
        const after = occasions.at(-1)
        const before = after && earlierOf(occasions.slice(0, -1), after)
        return before ? [{ info, before, after }] : []
      }),
    [entries, review, infos],
  )
  const searchNewer = async (): Promise<void> => {
    await doIt(
      chooseLatest,
      older.map((i) => i.source),
    )
    runAll(older.map((i) => i.source.id))
  }
  if (!older.length && !compared.length) return null
  return (
    <section className={css.all} aria-label="Run again">
      <h2>Since they were run before</h2>
      {older.length > 0 && (
        <p className="note">
          <b>There is a newer release</b> of {listed(older.map((i) => i.short))}.{' '}
          <Button size="small" onClick={() => deed(searchNewer())}>
            Run all again in the {releaseWords(LATEST)}
          </Button>
        </p>
      )}
      {compared.length > 0 &&
        (wanted ? (
          <Since review={review} compared={compared} open={open} />
        ) : (
          <p>
            <Button onClick={() => setWanted(true)}>
              Show what came and went in {plural(compared.length, 'source')}
            </Button>
          </p>
        ))}
    </section>
  )
}

/** The sources one below the other, as each is opened in both of its releases. */
function Since({
  review,
  compared,
  open,
}: {
  review: Review
  compared: readonly Compared[]
  open: (sourceId: string) => void
}) {
  const key = compared.map((c) => `${c.before.run.id} ${c.after.run.id}`).join()
  // The same as long as the runs are: what is done elsewhere in the review opens no release again.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const same = useMemo(() => compared, [key])
  const { value: found, failed } = useAsked(async () => {
    const all: (ComeAndGone | undefined)[] = []
    for (const { info, before, after } of same) all.push(await askAgain(info, before, after))
    return all
  }, [same])
  if (!found)
    return (
      <p className="empty">{failed ?? `Opening ${plural(compared.length, 'source')} in both releases …`}</p>
    )
  return (
    <>
      <table>
        <thead>
          <tr>
            <th scope="col" />
            <th scope="col">Then</th>
            <th scope="col">Now</th>
            <th scope="col" className="number">
              Gone
            </th>
            <th scope="col" className="number">
              In both
            </th>
            <th scope="col" className="number">
              New
            </th>
          </tr>
        </thead>
        <tbody>
          {same.map(({ info, before, after }, n) => (
            <tr key={info.source.id}>
              <th scope="row">
                <button className="plain link" onClick={() => open(info.source.id)}>
                  {info.short}
                </button>
              </th>
              <td>{occasionWords(before)}</td>
              <td>{occasionWords(after)}</td>
              <td className="number">{counted(found[n], ['withdrawn', 'lostNow'])}</td>
              <td className="number">{found[n] ? thousands(found[n].both) : '–'}</td>
              <td className="number">{counted(found[n], ['added', 'foundNow'])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <BringNew
        review={review}
        all={same.flatMap(({ info, after }, n) => {
          const anew = found[n] && foundAnew(review, info.source, after.run, found[n])
          return anew ? [anew] : []
        })}
      />
    </>
  )
}

const counted = (
  found: ComeAndGone | undefined,
  parts: readonly ('added' | 'foundNow' | 'withdrawn' | 'lostNow')[],
): string => (found ? thousands(parts.reduce((n, p) => n + found[p].length, 0)) : '–')
