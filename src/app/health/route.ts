/** Which build is handed out here, so that a page of an older one can say so. */
export const dynamic = 'force-static'

export const GET = (): Response => Response.json({ luvren: 'here', build: process.env.LUVREN_BUILD ?? '' })
