const SPACE = /[ \t\r\n]*/y
const STRING = /"(?:[^"\\\u0000-\u001f]|\\(?:["\\/bfnrt]|u[0-9a-fA-F]{4}))*"/y
const PLAIN = /-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?|true|false|null/y

/**
 * Where a text stops being JSON (RFC 8259), in words: "line 3, at “}”" or "its end"; undefined where it is JSON. What a program
 * for reading JSON says of it is another thing in each browser, and nothing for readers.
 */
export function noJsonAt(text: string): string | undefined {
  let i = 0
  const skip = (re: RegExp): string | undefined => {
    re.lastIndex = i
    const found = re.exec(text)?.[0]
    if (found !== undefined) i += found.length
    return found
  }
  /** The brackets that are open, and what may come: a value, a name, what parts them, or the end. */
  const open: ('[' | '{')[] = []
  let next: 'value' | 'value or ]' | 'name' | 'name or }' | 'colon' | 'after' = 'value'
  const close = (): void => {
    i++
    open.pop()
    next = 'after'
  }
  for (;;) {
    skip(SPACE)
    const sign = text[i]
    if (next === 'after' && !open.length) return sign === undefined ? undefined : place(text, i)
    const inside = open.at(-1)
    if (next === 'after' && sign === ',') {
      i++
      next = inside === '{' ? 'name' : 'value'
    } else if (next === 'after' && sign === (inside === '{' ? '}' : ']')) close()
    else if (next === 'value or ]' && sign === ']') close()
    else if (next === 'name or }' && sign === '}') close()
    else if (next === 'colon' && sign === ':') {
      i++
      next = 'value'
    } else if ((next === 'name' || next === 'name or }') && skip(STRING) !== undefined) next = 'colon'
    else if ((next === 'value' || next === 'value or ]') && (sign === '[' || sign === '{')) {
      i++
      open.push(sign)
      next = sign === '[' ? 'value or ]' : 'name or }'
    } else if (
      (next === 'value' || next === 'value or ]') &&
      (skip(STRING) ?? (skip(PLAIN) || undefined)) !== undefined
    )
      next = 'after'
    else return place(text, i)
  }
}

const place = (text: string, at: number): string =>
  at >= text.length
    ? 'its end: something is not closed'
    : `line ${text.slice(0, at).split('\n').length}, at “${[...text.slice(at, at + 24)][0]}”`
