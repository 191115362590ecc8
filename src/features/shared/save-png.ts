import { saveFile } from '@/ui/save-file'

/** Draws an SVG at twice its size into a PNG and hands it to the browser to be saved. Rejects where it cannot be drawn. */
export async function savePng(svg: string, name: string): Promise<void> {
  const image = new Image()
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
  try {
    await new Promise((drawn, failed) => {
      image.onload = drawn
      image.onerror = () => failed(new Error('The picture could not be drawn.'))
      image.src = url
    })
    const canvas = document.createElement('canvas')
    canvas.width = image.width * 2
    canvas.height = image.height * 2
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
    const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
    if (!png) throw new Error('The picture could not be drawn.')
    saveFile(name, png, 'image/png')
  } finally {
    URL.revokeObjectURL(url)
  }
}
