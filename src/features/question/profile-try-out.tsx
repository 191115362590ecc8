'use client'
import { Input } from 'antd'
import { useMemo, useState } from 'react'
import { hasErrors } from '@/core/base'
import { printFor, readFrom, readOtherwise, readWithLimits, withLimits, type Profile } from '@/core/profile'
import { byGroup, limitWords, parse, print, withoutPlaces } from '@/core/query'
import type { Review } from '@/core/review'
import { placeWords, type ProfileProblems } from './profile-parts'

const SAMPLE = 'text: (noise OR reverberat* OR "sound field") AND title: reading'

/** A query in plain notation as this database would be asked, and read back; and a query of the database, read. */
export function ProfileTryOut({
  review,
  profile,
  problems,
}: {
  review: Review
  profile: Profile | undefined
  problems: ProfileProblems
}) {
  const own = useMemo(
    () =>
      Object.values(review.strategies)
        .flat()
        .find((l) => l.text && !l.text.startsWith('#'))?.text ?? SAMPLE,
    [review.strategies],
  )
  const [plain, setPlain] = useState(own.length < 160 ? own : SAMPLE)
  const [theirs, setTheirs] = useState('')
  const tried = useMemo(() => tryOut(plain, profile, review), [plain, profile, review])
  const understood = useMemo(() => {
    if (!profile || !theirs.trim()) return undefined
    const { tree, limits, problems: found } = readWithLimits(theirs, profile)
    return { text: tree ? print(byGroup(withoutPlaces(tree))) : '', limits, problems: found }
  }, [theirs, profile])
  return (
    <aside className="describe-try">
      <h3>Try it out</h3>
      <label>
        <span className="sub">a query in plain notation</span>
        <Input.TextArea
          autoSize
          className="mono"
          aria-label="A query in plain notation"
          value={plain}
          onChange={(e) => setPlain(e.target.value)}
        />
      </label>
      {!profile && (
        <ul className="problem-list">
          {[...problems].slice(0, 8).map(([at, message]) => (
            <li key={at}>
              <span className="error">
                {at === 'name' && message.includes('empty')
                  ? 'Give the database a name.'
                  : `${placeWords(at)}: ${message}`}
              </span>
            </li>
          ))}
        </ul>
      )}
      {profile && !tried && <p className="sub">not understood yet</p>}
      {profile && tried && (
        <>
          <p className="sub">as {profile.name} would be asked</p>
          <p className="mono theirs">{tried.text}</p>
          {tried.limits && (
            <>
              <p className="sub">with the planned limits</p>
              <p className="mono theirs">{tried.limits}</p>
            </>
          )}
          <p className="sub">read back</p>
          <p className="mono theirs">{tried.back || 'nothing'}</p>
          <p className={tried.same ? 'sub' : 'sub warn'}>
            {tried.same
              ? 'The same: what is written there means what was meant.'
              : 'Not the same: something in the description reads otherwise than it writes.'}
          </p>
          {tried.losses.length > 0 && (
            <ul className="losses">
              {tried.losses.map((l, i) => (
                <li key={i}>
                  <b>{l.direction}.</b> <span className="mono">{l.was}</span>: {l.why}.
                </li>
              ))}
            </ul>
          )}
        </>
      )}
      <label className="above-3">
        <span className="sub">a query that you typed there</span>
        <Input.TextArea
          autoSize={{ minRows: 2 }}
          className="mono"
          aria-label="A query of the database"
          placeholder="paste one from its help page, or from your history"
          value={theirs}
          onChange={(e) => setTheirs(e.target.value)}
        />
      </label>
      {understood && (
        <>
          <p className="sub">is understood as</p>
          <p className="mono theirs">
            {understood.text || 'nothing'}
            {understood.limits.length > 0 && ` + ${understood.limits.map(limitWords).join(' + ')}`}
          </p>
          <ul className="problem-list">
            {understood.problems.slice(0, 6).map((p, i) => (
              <li key={i}>
                <span className={p.severity}>{p.message}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </aside>
  )
}

function tryOut(plain: string, profile: Profile | undefined, review: Review) {
  if (!profile) return undefined
  const { tree, problems } = parse(plain)
  if (!tree || hasErrors(problems)) return undefined
  const { text, losses } = printFor(tree, profile)
  const back = readFrom(text, profile)
  const planned = review.limits.map((l) => l.limit)
  const limited = withLimits(text, planned, profile).text
  return {
    text,
    losses,
    back: back.tree ? print(byGroup(withoutPlaces(back.tree))) : '',
    // A reference to a line has no text where no lines are kept: that is told as a loss, and nothing can be read back.
    same: losses.some((l) => l.cause.code === 'no-lines') || !readOtherwise(tree, profile),
    limits: limited === text ? '' : limited,
  }
}
