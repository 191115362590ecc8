import { ofFile, openPackage, type Opened } from '@/core/review'
import type { Result } from '@/core/base'

/** A package that was opened here, without the way to what lies beside its journal: that is asked for by number. */
export interface OpenedHere extends Omit<Opened, 'blob'> {
  number: number
}

/** Work that takes long and must not keep searching or drawing waiting: so far, reading packages. */
export class LongDesk {
  private readonly opened = new Map<number, Opened>()
  private count = 0

  /** Checks a package whole. What lies beside its journal can be had by its number until it is closed. */
  async openPackage(file: Blob): Promise<Result<OpenedHere>> {
    const read = await openPackage(ofFile(file))
    if (!read.ok) return read
    const { blob: _blob, ...rest } = read.value
    const number = ++this.count
    this.opened.set(number, read.value)
    return { ...read, value: { ...rest, number } }
  }

  /** What lies under a digest in a package that is open here. */
  blob(number: number, digest: string): Promise<Uint8Array> {
    const opened = this.opened.get(number)
    if (!opened) throw new Error('This package is no longer open.')
    return opened.blob(digest)
  }

  close(number: number): void {
    this.opened.delete(number)
  }
}
