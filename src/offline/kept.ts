/** What the page and the service worker say to each other, and what the build tells the worker. */

/** A file of this build; without a revision its name changes with what is in it. */
export interface KeptFile {
  url: string
  revision: string | null
}

/** What the framework asks of a page when somebody goes from one to another: by page, by part of it, "" the whole. */
export type Payloads = Readonly<Record<string, Readonly<Record<string, string>>>>

export interface KeptBuild {
  files: KeptFile[]
  payloads: Payloads
}

/** The addresses of all data of the stand-ins. */
export const DATA_LIST = '/data/files.json'

export type Said = { say: 'keep data' } | { say: 'take over' }
/** How many files of the data are kept here. */
export interface DataKept {
  kept: number
  of: number
}

/**
 * The part of a page that is asked for, of those that were made with the build; undefined where it is something else. The
 * framework asks for a part by a header, for the whole page without one.
 */
export function payloadFor(
  payloads: Payloads,
  pathname: string,
  header: (name: string) => string | null,
): { text: string; part: boolean } | undefined {
  if (header('rsc') !== '1') return undefined
  const parts = payloads[pathname.replace(/(?<=.)\/$/, '')]
  const part = header('next-router-segment-prefetch') ?? ''
  const text = parts?.[part]
  return text === undefined ? undefined : { text, part: part !== '' }
}
