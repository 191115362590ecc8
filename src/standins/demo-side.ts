import { digestOf } from '../core/base'
import { sideBytes, sideEntry, takenFrom, type Command, type Packed, type SideJournal } from '../core/review'
import type { Diary } from './diary'

/** What another person did apart from the demo, and how it is taken in: as with a file that they send back. */
export class DemoSide {
  private side: SideJournal

  constructor(
    private readonly diary: Diary,
    person: string,
    name: string,
  ) {
    const { seq, digest } = diary.entries[0]!
    this.side = { origin: { review: 'demo', seq, digest }, person, entries: [] }
    this.say({ kind: 'person.named', payload: { id: person, name } })
  }

  say(command: Command): void {
    const { side } = this
    const salt = digestOf(`demo side ${side.entries.length}`).slice(0, 32)
    const at = this.diary.now()
    this.side = { ...side, entries: [...side.entries, sideEntry(side, command, { at, salt })] }
  }

  takeIn(blobs: Packed['blobs']): void {
    const { side, diary } = this
    const bytes = sideBytes(side)
    const digest = digestOf(bytes)
    blobs.set(digest, bytes)
    diary.sides.set(digest, takenFrom(side))
    diary.do('side.take', { person: side.person, head: side.entries.at(-1)!.digest, digest })
  }
}
