/** Where a person looks on, what goes on is said on one line of standard error that goes away again. */
export interface Progress {
  say(words: string): void
  end(): void
}

/** That of this call: any command says on it what it is about, and it is gone before anything is printed. */
export const going = progress()

export function progress(to: Pick<NodeJS.WriteStream, 'isTTY' | 'write'> = process.stderr): Progress {
  let shown = false
  const line = (words: string): void => {
    if (to.isTTY && (words || shown)) to.write(`\r\x1b[K${words}`)
    shown = words !== ''
  }
  return { say: (words) => line(`${words} …`), end: () => line('') }
}
