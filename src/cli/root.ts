import path from 'node:path'

/** The folder of the program: what is built and what was installed lies there, wherever this file was put. */
export const ROOT = process.env.LUVREN_ROOT ?? path.join(import.meta.dirname, '..', '..')
