import { countInSteps } from '@/core/figures'
import { unpackWorks, type Import, type PackedWorks, type Works } from '@/core/review'
import { inSteps } from './breathe'

/** The works that the desk of records sent, ready to be told of; the page can draw meanwhile. */
export async function worksHere(packed: PackedWorks, imports: readonly Import[]): Promise<Works> {
  const works = await inSteps(unpackWorks(packed, imports))
  await inSteps(countInSteps(works.works))
  return works
}
