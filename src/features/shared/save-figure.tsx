import { App, Button } from 'antd'
import { messageOf } from '@/core/base'
import { useStore } from '@/page/provider'
import { saveFile } from '@/ui/save-file'
import { longDesk } from '@/workers'

const TYPES = { svg: 'image/svg+xml', png: 'image/png' } as const

/** Saves a figure as SVG or PNG, with its letters, so that it looks the same on any machine. */
export function SaveFigure({ svg, name }: { svg: () => string; name: (ending: string) => string }) {
  const { deed } = useStore()
  const { message } = App.useApp()
  const save = async (as: 'svg' | 'png'): Promise<void> => {
    try {
      saveFile(name(as), (await longDesk().figure(svg(), as)) as BlobPart, TYPES[as])
    } catch (error) {
      message.error(`The figure could not be drawn: ${messageOf(error)}`)
    }
  }
  return (
    <>
      <Button size="small" onClick={() => deed(save('svg'))}>
        Save as SVG
      </Button>
      <Button size="small" onClick={() => deed(save('png'))}>
        PNG
      </Button>
    </>
  )
}
