'use client'
import { dropEvidence, keepEvidence as keep } from '@/core/doing'
import type { Store } from '@/store/store'
import { Button } from 'antd'
import { useMemo } from 'react'
import type { Attachment, Line } from '@/core/review'
import { useSession, useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'
import { saveFile } from '@/ui/save-file'

/** Keeps a file as evidence of a search; its bytes go with the review, unchanged. */
export async function keepEvidence(
  store: Store,
  about: Pick<Attachment, 'sourceId' | 'lineId'>,
  name: string,
  mediaType: string,
  bytes: Uint8Array,
): Promise<void> {
  await store.lay(async ({ keepBytes }) =>
    store.doIt(keep, {
      ...about,
      name,
      mediaType,
      size: bytes.length,
      digest: await keepBytes(bytes),
    }),
  )
}

const inKilobytes = (size: number): string =>
  size < 1024 ? `${size} bytes` : `${Math.round(size / 1024)} kB`

/** Files kept with a line: a picture of the screen, notes, a drawn structure. */
export function Evidence({ sourceId, line, number }: { sourceId: string; line: Line; number: number }) {
  const store = useStore()
  const { deed } = store
  const attachments = useSession((s) => s.folded.review.attachments)
  const own = useMemo(() => attachments.filter((a) => a.lineId === line.id), [attachments, line.id])
  const file = useFilePick(`Evidence for line ${number}`, '', (chosen) =>
    deed(
      chosen
        .arrayBuffer()
        .then((buffer) =>
          keepEvidence(
            store,
            { sourceId, lineId: line.id },
            chosen.name,
            chosen.type || 'application/octet-stream',
            new Uint8Array(buffer),
          ),
        ),
    ),
  )
  return (
    <div className="log-deeds">
      <Button size="small" onClick={file.open}>
        Keep a screen or a note with it
      </Button>
      {file.input}
      <KeptFiles files={own} />
      {!own.length && <span className="sub">for what cannot be typed again</span>}
    </div>
  )
}

/** Files that are kept, to be opened or taken off. */
export function KeptFiles({ files }: { files: readonly Attachment[] }) {
  const store = useStore()
  const { deed } = store
  return files.map((a) => (
    <span key={a.id} className="evidence">
      <button className="plain link" onClick={() => deed(open(store, a))}>
        {a.name}
      </button>{' '}
      <span className="sub" title={`SHA-256 ${a.digest}`}>
        {inKilobytes(a.size)}, {a.digest.slice(0, 8)}
      </span>
      <button
        className="plain remove"
        aria-label={`Take ${a.name} off`}
        onClick={() => deed(store.doIt(dropEvidence, a.id))}
      >
        ×
      </button>
    </span>
  ))
}

async function open(store: Store, a: Attachment): Promise<void> {
  const { bytesOf } = store
  const bytes = await bytesOf(a.digest)
  if (bytes) saveFile(a.name, new Uint8Array(bytes), a.mediaType)
}
