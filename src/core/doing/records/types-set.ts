import { recordNames, type Import } from '../../review'

/**
 * Of which parts the records of these names are, with those names: only parts from files without mended records, for what a
 * database here gave is held against its runs. Empty where none is.
 */
export function typesSet(
  imports: readonly Import[],
  names: readonly string[],
): { of: Import; names: string[] }[] {
  const wanted = new Set(names)
  return imports.flatMap((of) => {
    if (!of.file || of.mended?.length) return []
    const own = recordNames(of).filter((name) => wanted.has(name))
    return own.length ? [{ of, names: own }] : []
  })
}
