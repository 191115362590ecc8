'use client'
import { takeMatters as takeMattersOver } from '@/core/doing'
import { Button, Modal } from 'antd'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { messageOf, plural } from '@/core/base'
import { useSession, useStore } from '@/page/provider'
import { longDesk, type ComparedHere } from '@/workers'
import { saveBackup } from '../shared/hand-on/save-package'
import { sayThere } from '../shared/said-there'
import { takeSideIn } from '../shared/side-files/take-side'
import { PartedMatters } from './parted-matters'
import { takePackage } from './take-package'
import { reviewAddress } from '@/page/address'

/** Differences of one part that are shown; the others are counted. */
const SHOWN = 8

/**
 * A package and the review here parted ways: what each did since is shown, and a person chooses. What others ruled and said
 * there can be taken in; or the package takes the place of the one here, which is saved as a file before.
 */
export function PartedDialog({ file, reviewId, close }: { file: File; reviewId: string; close: () => void }) {
  const store = useStore()
  const router = useRouter()
  const person = useSession((s) => s.person)
  const [found, setFound] = useState<ComparedHere>()
  const [failed, setFailed] = useState<string>()
  const [busy, setBusy] = useState(false)
  useEffect(() => {
    longDesk()
      .compare(file, reviewId, person)
      .then(setFound, (error: unknown) => setFailed(messageOf(error)))
  }, [file, reviewId, person])
  const go = (job: () => Promise<string | void>): void => {
    setBusy(true)
    store.deed(
      job()
        .then((id) => {
          close()
          router.push(reviewAddress(id ?? reviewId))
        })
        .catch((error: unknown) => setFailed(messageOf(error)))
        .finally(() => setBusy(false)),
    )
  }
  const takeSides = (): void =>
    go(async () => {
      await store.openReview(reviewId)
      for (const { side } of found?.sides ?? []) sayThere(await takeSideIn(store, side))
    })
  const replace = (): void =>
    go(async () => {
      await store.openReview(reviewId)
      await saveBackup(store)
      await store.deleteReview(reviewId)
      const read = await takePackage(store, file)
      if (!read.ok) throw new Error(read.problems[0]?.message ?? 'The package was not taken.')
    })
  const keepBoth = (): void =>
    go(async () => {
      const read = await takePackage(store, file, { beside: true })
      if (!read.ok) throw new Error(read.problems[0]?.message ?? 'The package was not taken.')
      return read.value
    })
  const takeMatters = (chosen: ReadonlySet<string>): void =>
    go(async () => {
      await store.openReview(reviewId)
      await store.doIt(takeMattersOver, { matters: found?.matters ?? [], chosen })
      sayThere(`${plural(chosen.size, 'matter')} taken over; undo takes them back together.`)
    })
  const others = found?.sides.reduce((n, s) => n + s.deeds, 0) ?? 0
  return (
    <Modal
      open
      width={780}
      title="Two histories of one review"
      onCancel={close}
      footer={
        <>
          <Button onClick={close}>Keep the one here</Button>
          <Button disabled={!found || busy} onClick={keepBoth}>
            Keep both
          </Button>
          <Button disabled={!found || busy} loading={busy} onClick={replace}>
            Put the package in its place
          </Button>
          <Button type="primary" disabled={!others || busy} onClick={takeSides}>
            Take in what others said there
          </Button>
        </>
      }
    >
      {failed && <p role="alert">{failed}</p>}
      {!found && !failed && (
        <p className="sub" role="status">
          Comparing …
        </p>
      )}
      {found && (
        <div className="parted">
          <p>
            {found.words
              .replace('the first alone', 'the one here alone')
              .replace('the second', 'the package')}
          </p>
          {found.sides.length > 0 && (
            <p className="sub">
              Rulings and comments of others that are only in the package:{' '}
              {found.sides.map((s) => `${plural(s.deeds, 'deed')} of ${s.name}`).join(', ')}. They can be
              taken in; nothing of yours is changed by it.
            </p>
          )}
          {found.matters.length > 0 && (
            <>
              <p className="sub">
                Changed there in the plan since they parted. Tick what is to be the same here; runs and
                rulings are not copied by it.
              </p>
              <PartedMatters matters={found.matters} busy={busy} take={takeMatters} />
            </>
          )}
          <p className="sub">
            Kept both, they lie on the shelf one beside the other, and each goes on for itself. If the package
            takes the place of the one here, the one here is saved as a file before. What differs, from the
            one here (first) to the package (second):
          </p>
          <div className="parted-parts" tabIndex={0} role="group" aria-label="What differs">
            {found.parts.map((p) => (
              <section key={p.about} aria-label={p.about}>
                <h3>{p.about}</h3>
                {p.lines.slice(0, SHOWN).map((line) => (
                  <p key={line}>{line}</p>
                ))}
                {p.lines.length > SHOWN && <p className="sub">and {p.lines.length - SHOWN} more</p>}
              </section>
            ))}
          </div>
        </div>
      )}
    </Modal>
  )
}
