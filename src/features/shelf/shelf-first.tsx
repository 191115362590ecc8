'use client'
import { Button } from 'antd'
import Link from 'next/link'
import { useCallback, useEffect, useState, type ComponentType } from 'react'
import { useDoor } from '@/page/handed-in'
import { shelfLines, type ShelfLines } from '@/store/shelf-lines'
import { useFileDrop } from '@/ui/use-file-drop'
import type { ShelfProps } from './shelf'
import { EmptyShelf, ShelfHead, ShelfRow, type Wanted } from './shelf-view'

/**
 * The shelf as it is shown at once: its head, its lines, and what can be begun. What works on reviews is several times as
 * large and comes behind it, into the place of the lines; what was wanted before is done then. The head stays: a choice of
 * files that was opened in it may end much later.
 */
export function ShelfFirst() {
  const [Shelf, setShelf] = useState<ComponentType<ShelfProps>>()
  const [lines, setLines] = useState<ShelfLines>()
  const [wanted, setWanted] = useState<Wanted>()
  const [reader, setReader] = useState<string>()
  const [failed, setFailed] = useState(false)
  const load = useCallback((): void => {
    import('./shelf-whole').then(
      (m) => setShelf(() => m.ShelfWhole),
      () => setFailed(true),
    )
  }, [])
  useEffect(() => {
    // Where the shelf cannot be read, that is told by whoever opens it for work.
    shelfLines().then(setLines, () => undefined)
    load()
  }, [load])
  const again = (): void => {
    setFailed(false)
    load()
  }
  const open = (file: File): void => setWanted({ what: 'open', file })
  useDoor('package', open)
  const over = useFileDrop(([file]) => open(file))
  const items = lines?.items.filter((i) => !i.putAway)
  return (
    <main className="shelf">
      <ShelfHead
        busy={wanted?.what}
        want={setWanted}
        reader={
          <input
            className="shelf-name"
            value={reader ?? lines?.reader ?? ''}
            onChange={(e) => setReader(e.target.value)}
          />
        }
      />
      {over && (
        <p className="note" role="status">
          Let go anywhere to open the package.
        </p>
      )}
      {failed && (
        <p className="note" role="alert">
          The rest of Luvren could not be fetched.{' '}
          <Button size="small" onClick={again}>
            Try again
          </Button>
        </p>
      )}
      {Shelf ? (
        <Shelf wanted={wanted} done={() => setWanted(undefined)} named={reader} />
      ) : (
        <>
          {items?.length === 0 && <EmptyShelf />}
          {items?.map((item) => (
            <ShelfRow key={item.id} item={item} />
          ))}
        </>
      )}
      <p className="sub shelf-foot">
        <Link href="/licences">Licences</Link>
      </p>
    </main>
  )
}
