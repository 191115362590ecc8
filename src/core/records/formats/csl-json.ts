import { noJsonAt } from '../../base'
import type { Rec } from '../record'
import { fromCsl, toCsl } from './csl'
import { atLine, type Reader, type ReadsTo } from './item'
import { READER_VERSION } from './versions'

/** Writes records as CSL-JSON, one item a line. */
export const writeCslJson = (records: readonly Rec[]): string => [...cslJsonPieces(records)].join('')

/** The same some records at a time, for many are too large a text. */
export function* cslJsonPieces(records: readonly Rec[]): Generator<string> {
  if (!records.length) return yield '[]\n'
  const AT_ONCE = 100
  for (let at = 0; at < records.length; at += AT_ONCE) {
    const some = records.slice(at, at + AT_ONCE).map((r) => JSON.stringify(toCsl(r)))
    yield `${at ? ',' : '['}\n${some.join(',\n')}`
  }
  yield '\n]\n'
}

/**
 * Reads CSL-JSON in pieces: the objects of the outermost list, or of `items` in an outermost object, or one object alone.
 * Each is cut out by its braces and parsed alone, so that one which is broken does not take the others with it.
 */
export function cslJsonReader(to: ReadsTo, version = READER_VERSION): Reader {
  let [line, depth, start, startLine, position] = [1, 0, -1, 1, 0]
  let [inText, escaped, inList] = [false, false, false]
  let kept = ''
  const finish = (text: string, at: number): void => {
    position++
    try {
      const value = JSON.parse(text) as Record<string, unknown>
      const record = fromCsl(value, position, version)
      const none = Object.keys(value).every((k) => k === 'id' || k === 'type')
      to.item(
        none
          ? {
              position,
              line: at,
              text,
              problems: [atLine(at, 'csl-nothing', 'error', 'this item says nothing but its type.')],
            }
          : {
              position,
              line: at,
              record,
              problems: record.title ? [] : [atLine(at, 'no-title', 'warning', 'this item has no title.')],
            },
      )
    } catch {
      const where = noJsonAt(text)
      const why = where
        ? `this item is no JSON from ${where.startsWith('its') ? where : `its ${where}`}`
        : 'this item is not what a reference is in JSON'
      to.item({
        position,
        line: at,
        text,
        problems: [atLine(at, 'csl-broken', 'error', `${why}.`)],
      })
    }
  }
  return {
    push: (piece) => {
      const from = kept.length
      const text = kept + piece
      for (let i = from; i < text.length; i++) {
        const sign = text.charCodeAt(i)
        if (sign === 10) {
          line++
          // A text of JSON cannot go on over a line's end: here one is broken, and what follows is read again.
          if (inText) inText = escaped = false
        } else if (inText) {
          if (escaped) escaped = false
          else if (sign === 92) escaped = true
          else if (sign === 34) inText = false
        } else if (sign === 34) inText = true
        else if (sign === 91 && depth === 0) inList = true
        else if (sign === 123) {
          if (depth++ === 0) [start, startLine] = [i, line]
          // An object around the list is gone into, not read as an item.
        } else if (sign === 125 && depth > 0 && --depth === 0) {
          finish(text.slice(start, i + 1), startLine)
          start = -1
        } else if (
          sign === 91 &&
          depth === 1 &&
          !inList &&
          /^\{\s*(?:"[^"]*"\s*:\s*"[^"]*"\s*,\s*)*"items"\s*:\s*$/.test(text.slice(start, i))
        ) {
          ;[inList, depth, start] = [true, 0, -1]
        }
      }
      kept = start < 0 ? '' : text.slice(start)
      if (start > 0) start = 0
    },
    end: () => {
      if (start >= 0 && kept)
        to.item({
          position: position + 1,
          line: startLine,
          text: kept,
          problems: [
            atLine(
              startLine,
              'csl-broken',
              'error',
              'this item does not end: the file is cut off, or a brace is missing.',
            ),
          ],
        })
    },
  }
}
