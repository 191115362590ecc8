import { useEffect, useMemo } from 'react'
import type { Review } from '@/core/review'
import { useStore } from '@/page/provider'
import { listOfNoted } from '@/core/vocabulary'
import { fileKey, sourceInfo, type SourceInfo } from '@/standins/source-info'
import { vocabularyDesk } from '@/workers'

/** The sources of a review with what is known of each; hands vocabularies from files, and of headings seen, to the worker. */
export function useSourceInfos(review: Review): SourceInfo[] {
  const { bytesOf, deed } = useStore()
  const { sources, vocabularies, profiles, headingsNoted } = review
  useEffect(() => {
    for (const file of vocabularies)
      deed(
        (async () => {
          const key = fileKey(file)
          if (await vocabularyDesk().has(key)) return
          const bytes = await bytesOf(file.digest)
          if (bytes) await vocabularyDesk().examine(key, bytes, file.file)
        })(),
      )
  }, [bytesOf, deed, vocabularies])
  // Nothing else of the review decides what a source is.
  const infos = useMemo(
    () => sources.map((s) => sourceInfo(review, s)),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [sources, vocabularies, profiles, headingsNoted],
  )
  useEffect(() => {
    for (const { vocabulary } of infos)
      if (vocabulary?.noted) {
        const { key, title, noted } = vocabulary
        deed(
          (async () => {
            if (await vocabularyDesk().has(key)) return
            await vocabularyDesk().examine(key, new TextEncoder().encode(listOfNoted(noted)), `${title}.txt`)
          })(),
        )
      }
  }, [deed, infos])
  return infos
}
