import { Button, Input } from 'antd'
import { useState } from 'react'
import { putReadingRight, runReadOtherwise } from '@/core/doing'
import type { Line } from '@/core/review'
import { useSession, useStore } from '@/page/provider'

/** Where a line was changed that was run elsewhere: another search, or the same one read better? Only a person can tell. */
export function ReadingOffer({
  line,
  number,
  lines,
}: {
  line: Line
  number: number
  lines: readonly Line[]
}) {
  const { doIt, deed } = useStore()
  const review = useSession((s) => s.folded.review)
  const [why, setWhy] = useState('')
  const run = runReadOtherwise(review, lines, line)
  if (!run) return null
  const put = (): void => {
    if (why.trim()) deed(doIt(putReadingRight, { run, line, why }))
  }
  return (
    <div className="note reading-offer" role="note">
      <p>
        Line {number} was changed since <span className="mono">{run.sent}</span> was run there. If that is
        what was sent, and only how it is read here was wrong, say why: the text, its hits and its day stay.
      </p>
      <Input
        size="small"
        aria-label={`Why line ${number} was read wrongly`}
        placeholder="the sign stands for any letter there"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        onPressEnter={put}
      />
      <Button size="small" disabled={!why.trim()} onClick={put}>
        Only its reading was wrong
      </Button>
      <span className="sub">Otherwise run it there again and log what comes back.</span>
    </div>
  )
}
