/** Where a person looks on, what goes on is said on one line of standard error that goes away again. */
export interface Progress {
  say(words: string): void
  end(): void
}

export function progress(to: Pick<NodeJS.WriteStream, 'isTTY' | 'write'> = process.stderr): Progress {
  const line = (words: string): void => {
    if (to.isTTY) to.write(`\r\x1b[K${words}`)
  }
  return { say: (words) => line(`${words} …`), end: () => line('') }
}
