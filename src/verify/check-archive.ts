import { plural, thousands } from '../core/base'
import { checked, type Check } from './report'

const ABOUT = 'Archive'
/** Of an end of the list without a comment, and of an entry of it without a name (APPNOTE.TXT 6.3, 4.3.16 and 4.3.12). */
const [END, LISTED] = [22, 46]

/**
 * Does the archive hold its files one after another as its list says, and nothing before, between or behind them? Each byte
 * that is no content of a file must be the one that every version of the program writes there: another one could be read by
 * one reader of archives and not by another.
 */
export function checkArchive(bytes: Uint8Array): Check {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length)
  const end = bytes.length - END
  const list = end < 0 ? bytes.length : view.getUint32(end + 16, true)
  const files: Listed[] = []
  for (let at = list; at + LISTED <= end;) {
    const of = (offset: number): number => view.getUint32(at + offset, true)
    const nameLength = view.getUint16(at + 28, true)
    const name = bytes.subarray(at + LISTED, at + LISTED + nameLength)
    const later = (view.getUint16(at + 8, true) & LATER) > 0
    files.push({ name: [...name], crc: of(16), packed: of(20), size: of(24), later })
    at += LISTED + nameLength
  }
  const faults: string[] = []
  let at = 0
  /** These bytes must come next; what they belong to is named where they do not. */
  const expect = (numbers: readonly number[], where: string): void => {
    const wrong = faults.length ? -1 : numbers.findIndex((n, i) => bytes[at + i] !== n)
    if (wrong >= 0)
      faults.push(
        `At byte ${thousands(at + wrong)}, ${where}, the archive is not written as a package is: another program packed it, or a byte was changed.`,
      )
    at += numbers.length
  }
  const starts: number[] = []
  for (const file of files) {
    const name = new TextDecoder().decode(Uint8Array.from(file.name))
    starts.push(at)
    // 4.3.7 and 4.3.9. The first version wrote sizes before the content, others write them behind it.
    const before = file.later ? zeros(12) : sizes(file)
    expect(
      [...SIGNATURE.header, ...written(file), ...before, ...named(file), ...file.name],
      `where ${name} begins`,
    )
    at += file.packed
    if (file.later) expect([...SIGNATURE.behind, ...sizes(file)], `where ${name} ends`)
  }
  const began = at
  files.forEach((file, n) => {
    const head = [...SIGNATURE.listed, 20, 0, ...written(file), ...sizes(file), ...named(file)]
    // No comment, first disk, no attributes.
    expect([...head, ...zeros(10), ...little(starts[n]!, 4), ...file.name], 'in the list of files')
  })
  const count = little(files.length, 2)
  const ends = [...SIGNATURE.end, ...zeros(4), ...count, ...count]
  expect([...ends, ...little(at - began, 4), ...little(began, 4), ...zeros(2)], 'at the end of the list')
  if (!faults.length && at !== bytes.length) faults.push('The archive goes on behind its end.')
  return checked(ABOUT, `${plural(files.length, 'file')} one after another, and nothing between them`, faults)
}

/** A file as the list at the end of an archive has it. */
interface Listed {
  name: number[]
  crc: number
  packed: number
  size: number
  /** Its sizes stand behind its content. */
  later: boolean
}

const little = (value: number, width: number): number[] =>
  Array.from({ length: width }, (_, i) => Math.floor(value / 2 ** (8 * i)) & 255)
const zeros = (width: number): number[] => little(0, width)
const sizes = ({ crc, packed, size }: Listed): number[] => [crc, packed, size].flatMap((n) => little(n, 4))
/** The length of the name, and no extra field. */
const named = ({ name }: Listed): number[] => [...little(name.length, 2), 0, 0]

const SIGNATURE = {
  header: [0x50, 0x4b, 3, 4],
  behind: [0x50, 0x4b, 7, 8],
  listed: [0x50, 0x4b, 1, 2],
  end: [0x50, 0x4b, 5, 6],
}
/** The flag of sizes that stand behind the content (4.4.4). */
const LATER = 8
/** Version needed, the flag, deflated, and the one time that all files have: 2 January 1980. */
const written = ({ later }: Listed): number[] => [20, 0, later ? LATER : 0, 0, 8, 0, 0, 0, 0x22, 0]
