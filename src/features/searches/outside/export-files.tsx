'use client'
import { App, Button, Input } from 'antd'
import { useState, type ReactNode } from 'react'
import { plural, thousands } from '@/core/base'
import type { ExportHere } from '@/core/doing'
import { RECORD_FILES } from '@/core/records'
import type { Line } from '@/core/review'
import type { SourceInfo } from '@/standins/source-info'
import { useStore } from '@/page/provider'
import { useFilePick } from '@/ui/file-pick'
import type { Place } from '../../shared/bring-file/bring-file'
import { useBringFile } from '../../shared/bring-file/use-bring-file'
import { leftWithExport } from '../versions/exports-compared'
import { holdExport, runOf } from './bring-records'

/** The export files of a line that was run elsewhere: what is asked of them, and what brings them in. */
export function useExportFiles(
  line: Line,
  info: SourceInfo,
  { own, ofUpdate, capped }: ExportHere,
): { asks: ReactNode; buttons: ReactNode; brought: ReactNode } {
  const store = useStore()
  const { deed } = store
  const { message } = App.useApp()
  const { source } = info
  const files = useBringFile()
  const [rankedBy, setRankedBy] = useState('')
  const bring = (place: Place) => (chosen: File) => {
    const run = runOf(store, line.id)
    const of = run && rankedBy.trim() ? { of: { hits: run.hits, rankedBy: rankedBy.trim() } } : {}
    files.bring(chosen, { source, place, ...(run ? { runId: run.id } : {}), ...of }, () => {
      const { kind, words } = holdExport(store, chosen.name, info, line.id)
      message[kind](words, 10)
      if (place === 'in place' && own.length)
        deed(
          leftWithExport(store, source.id).then((n) => {
            if (n)
              message.warning(
                `${plural(n, 'record')} that the export before held ${n === 1 ? 'is' : 'are'} in this one no more and left the review. Undo brings both back; as another part it would have stood beside it.`,
                12,
              )
          }),
        )
    })
  }
  const file = useFilePick('Export file', RECORD_FILES, bring('in place'))
  const part = useFilePick('Another part of the export', RECORD_FILES, bring('beside'))
  return {
    // Of more than it hands out, the first are brought in: by which order they are the first decides which those are.
    asks: capped && (
      <label className="log-ranked">
        <span className="sub">
          It hands out {thousands(capped.most)} of {thousands(capped.hits)}: the first by
        </span>
        <Input
          size="small"
          aria-label="By what the records that are handed out are ranked"
          placeholder="relevance; date, newest first; …"
          value={rankedBy}
          onChange={(e) => setRankedBy(e.target.value)}
        />
      </label>
    ),
    buttons: (
      <>
        {ofUpdate && (
          <Button size="small" onClick={part.open}>
            Bring the export of the update in
          </Button>
        )}
        <Button size="small" onClick={file.open}>
          {own.length ? 'Bring a newer export in its place' : 'Bring the export file in'}
        </Button>
        {file.input}
        {own.length > 0 && (
          <Button size="small" onClick={part.open}>
            Add another part
          </Button>
        )}
        {part.input}
        {files.dialog}
      </>
    ),
    brought: own.map((i) => (
      <p key={i.id} className="sub">
        {i.file ? i.file.name : 'records'}: {plural(i.count, 'record')}, brought in {i.at.slice(0, 10)}
        {i.file && (
          <span title={`SHA-256 ${i.file.digest}: the file is kept unchanged`}>
            , {i.file.digest.slice(0, 8)}
          </span>
        )}
      </p>
    )),
  }
}
