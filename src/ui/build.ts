/** The build that this page belongs to; empty while one develops. */
export const BUILD = process.env.LUVREN_BUILD ?? ''

/** Is the build that the server hands out now another one than that of this page? False where it does not say. */
export async function newerBuild(): Promise<boolean> {
  try {
    const answer = await fetch('/health', { cache: 'no-store' })
    const { build } = (await answer.json()) as { build?: string }
    return build !== undefined && build !== BUILD
  } catch {
    return false
  }
}
