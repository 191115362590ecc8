import { useEffect, useMemo } from 'react'
import type { Review } from '@/core/review'
import { useStore } from '@/store/provider'
import { fileKey, sourceInfo, type SourceInfo } from '@/standins/source-info'
import { vocabularyDesk } from '@/workers'

/** The sources of a review with what is known of each; hands vocabularies from files to the worker. */
export function useSourceInfos(review: Review): SourceInfo[] {
  const { bytesOf, deed } = useStore()
  const { sources, vocabularies, profiles } = review
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
  // eslint-disable-next-line react-hooks/exhaustive-deps
  return useMemo(() => sources.map((s) => sourceInfo(review, s)), [sources, vocabularies, profiles])
}
