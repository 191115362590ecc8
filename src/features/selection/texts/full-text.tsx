'use client'
import { Button } from 'antd'
import type { Rec } from '@/core/records'
import { keepText } from '@/core/doing'
import type { Retrieval, Work } from '@/core/review'
import { useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'
import { saveFile } from '@/ui/save-file'
import { STATE_WORDS } from './states'

/** The full text of a work at hand: its file, its link, and where it stands. */
export function FullText({
  work,
  retrieval,
  record,
}: {
  work: Work
  retrieval: Retrieval | undefined
  record: Rec | undefined
}) {
  const store = useStore()
  const { deed, bytesOf } = store
  const attach = useFilePick('Full text', '.pdf,.html,.txt,.docx', (chosen) =>
    deed(keepFullText(store, work.id, chosen, retrieval)),
  )
  const save = async (file: NonNullable<Retrieval['file']>): Promise<void> => {
    const bytes = await bytesOf(file.digest)
    if (!bytes) throw new Error(`The file ${file.name} is not in this browser.`)
    // Handed over to be opened outside: what comes from elsewhere is never opened here.
    saveFile(file.name, bytes as BlobPart, 'application/octet-stream')
  }
  const link = retrieval?.link ?? (record?.doi ? `https://doi.org/${record.doi}` : record?.url)
  return (
    <p className="sub full-text">
      <span>Full text: {retrieval ? STATE_WORDS[retrieval.state] : 'not looked for yet'}</span>
      {retrieval?.file && (
        <button className="plain link" onClick={() => deed(save(retrieval.file!))}>
          {retrieval.file.name}
        </button>
      )}
      {link && /^https?:/i.test(link) && (
        <a href={link} target="_blank" rel="noreferrer">
          its address
        </a>
      )}
      <Button size="small" onClick={attach.open}>
        {retrieval?.file ? 'Another file' : 'Attach its file'}
      </Button>
      {attach.input}
    </p>
  )
}

type StoreOf = ReturnType<typeof useStore>

/** Lays a full text down beside the journal and notes that it is here. */
export async function keepFullText(
  { lay, doIt }: StoreOf,
  recordId: string,
  file: File,
  before: Retrieval | undefined,
): Promise<void> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  await lay(async ({ keepBytes }) =>
    doIt(keepText, {
      recordId,
      before,
      file: {
        name: file.name,
        mediaType: file.type || 'application/octet-stream',
        size: bytes.length,
        digest: await keepBytes(bytes),
      },
    }),
  )
}
