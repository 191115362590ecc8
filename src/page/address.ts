/** The address of a stage of a review. */
export const reviewAddress = (id: string, stage = 'question'): string =>
  `/review/${stage}?id=${encodeURIComponent(id)}`

/** The address of now for one of before, which named the review first; undefined where it is none. */
export function ofOldAddress(path: string): string | undefined {
  const [, id, stage] = /^\/review\/([^/]+)\/([a-z]+)\/?$/.exec(path) ?? []
  return id === undefined ? undefined : reviewAddress(decodeURIComponent(id), stage)
}
