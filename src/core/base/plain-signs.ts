/**
 * Signs that no file of XML may hold (XML 1.0, 5th edition, production 2), and that nobody sees: control characters but tab
 * and line ends, halves of pairs, and two that are no signs.
 */
const NO_SIGN =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g
/** Of these two programs make line breaks within a paragraph. */
const BREAK = /[\u000b\u000c]/

/** The text without them; where one stood for a break, a space stands. */
export const plainSigns = (text: string): string =>
  text.replace(NO_SIGN, (sign) => (BREAK.test(sign) ? ' ' : ''))

/** A value with every text in it so, at any depth, and how many signs went. What holds none is given back as it is. */
export function withPlainSigns<T>(value: T): { value: T; gone: number } {
  let gone = 0
  const clean = (of: unknown): unknown => {
    if (typeof of === 'string') {
      const own = of.match(NO_SIGN)?.length ?? 0
      gone += own
      return own ? plainSigns(of) : of
    }
    if (Array.isArray(of)) {
      const parts = of.map(clean)
      return parts.some((p, i) => p !== of[i]) ? parts : of
    }
    if (typeof of !== 'object' || of === null || ArrayBuffer.isView(of)) return of
    const parts = Object.entries(of).map(([key, own]) => [key, own, clean(own)] as const)
    if (parts.every(([, own, now]) => own === now)) return of
    const made = Object.create(Object.getPrototypeOf(of) as object | null) as Record<string, unknown>
    for (const [key, , now] of parts)
      Object.defineProperty(made, key, { value: now, enumerable: true, writable: true, configurable: true })
    return made
  }
  const made = clean(value) as T
  return { value: made, gone }
}
