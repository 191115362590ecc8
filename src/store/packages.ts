/**
 * Making and opening packages brings what squeezes and reads them; it comes behind the page, and early enough to be there
 * when something is wrong and a package has to be saved without a network.
 */
const coming = (): Promise<typeof import('./packages-here')> => import('./packages-here')
let come: ReturnType<typeof coming> | undefined

/** What makes and opens packages; asked for again where it could not be had before. */
export function packages(): ReturnType<typeof coming> {
  const asked = (come ??= coming())
  asked.catch(() => {
    if (come === asked) come = undefined
  })
  return asked
}
