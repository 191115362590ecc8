/** Copies a text. Where the browser does not let a page copy, the words of the error say what can be done instead. */
export async function copyText(text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text)
  } catch {
    throw new Error('The browser did not let this page copy: mark the text and copy it by hand.')
  }
}
