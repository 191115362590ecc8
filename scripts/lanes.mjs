// Steps in lanes: those of a lane one after the other, lanes beside each other; what each took is told at the end.
import { spawn } from 'node:child_process'
import path from 'node:path'

const root = path.join(import.meta.dirname, '..')

const took = []

/** Runs a command to its end and prints what it said in one piece, so that two beside each other can be read. */
export function step(what, command, args, env = {}) {
  return timed(
    what,
    () =>
      new Promise((resolve) => {
        const said = []
        const child = spawn(command, args, {
          cwd: root,
          env: { ...process.env, ...env },
          stdio: ['ignore', 'pipe', 'pipe'],
        })
        for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => said.push(chunk))
        child.on('error', (error) => said.push(Buffer.from(`${error.message}\n`)))
        child.on('close', (code) => {
          console.log(`\n— ${what}`)
          process.stdout.write(Buffer.concat(said))
          if (code !== 0) console.error(`${what}: failed`)
          resolve(code === 0)
        })
      }),
  )
}

/** The same for something that is done here. */
export async function timed(what, work) {
  const start = Date.now()
  const result = await work()
  took.push([what, Math.round((Date.now() - start) / 1000)])
  return result
}

/** One lane: its steps in their order, also behind one that failed. Gives what each came to. */
export async function lane(...steps) {
  const results = []
  for (const one of steps) results.push(await one())
  return results
}

/** "Lint 61 s · Types 40 s". */
export const timesTaken = () => took.map(([what, seconds]) => `${what} ${seconds} s`).join(' · ')
