import { whatItIs, type WhatItIs } from '@/core/handed'

/** So many bytes of a file tell what it is, where it is not one that only the whole can tell. */
const BEGINNING = 256 * 1024
const WHOLE = 4 * 1024 * 1024

/** What a file is, by what is in it. */
export async function recogniseHere(file: Blob): Promise<WhatItIs> {
  const whole = file.size <= WHOLE
  const bytes = new Uint8Array(await (whole ? file : file.slice(0, BEGINNING)).arrayBuffer())
  return whatItIs(bytes, whole)
}
