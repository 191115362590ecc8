/** Keys as they are printed on the keyboard. */
export function keySign(key: string): string {
  return key
    .replace('Shift+', '⇧')
    .replace('ArrowLeft', '←')
    .replace('ArrowRight', '→')
    .replace('ArrowUp', '↑')
    .replace('ArrowDown', '↓')
    .replace('Enter', '↵')
    .replace(/^ $/, 'Space')
}
