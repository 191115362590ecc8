import { useEffect, useState } from 'react'
import { readShelf, withDescription, type Profile } from '@/core/profile'
import { useStore } from '@/page/provider'

const KEPT = 'descriptions'

/**
 * Descriptions of databases that were kept in any review of this browser, of each database the youngest; those of this review
 * join them.
 */
export function useDescriptions(own: readonly Profile[]): readonly Profile[] {
  const { deed, setting, setSetting } = useStore()
  const [shelf, setShelf] = useState<readonly Profile[]>([])
  useEffect(() => {
    const join = async (): Promise<void> => {
      const kept = readShelf(await setting(KEPT))
      const all = own.reduce<readonly Profile[]>(withDescription, kept)
      if (all !== kept) await setSetting(KEPT, all)
      setShelf(all)
    }
    deed(join())
  }, [own, deed, setting, setSetting])
  return shelf
}
