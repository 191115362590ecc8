import { useState } from 'react'
import { useStore } from '@/page/provider'
import { useAsked } from '@/page/use-asked'
import { vocabularyDesk, type Neighbourhood, type Offer } from '@/workers'

const NO_OFFERS: Offer[] = []

export interface HeadingShown {
  /** What was typed; and whether what is offered is an answer to it. */
  asked: string
  ask: (words: string) => void
  answered: boolean
  /** Why there is no answer, in words. */
  failed: string | undefined
  offers: readonly Offer[]
  /** The headings at the top, for whoever has typed nothing. */
  tops: readonly Pick<Offer, 'id' | 'label'>[]
  shown: Neighbourhood | undefined
  go: (id: string) => void
}

/** The heading that is shown among its neighbours: the best for what was typed, or where one has walked to since. */
export function useHeadingShown(key: string, openAt: { label: string } | undefined): HeadingShown {
  const { deed } = useStore()
  const [asked, ask] = useState('')
  // Answer and heading belong together to what was typed: what was found for other words is no answer.
  const answer = useAsked(async () => {
    const offers = await vocabularyDesk().lookUp(key, asked)
    const best = offers[0] && (await vocabularyDesk().neighbourhood(key, offers[0].id))
    return { offers, best }
  }, [key, asked])
  const { value: tops } = useAsked(() => vocabularyDesk().tops(key), [key])
  /** Where one has walked to since the words were typed; typing leaves it. */
  const [walked, setWalked] = useState<{ from: string; at: Neighbourhood }>()
  const opened = useAsked(async () => {
    const id = openAt && (await vocabularyDesk().idOf(key, openAt.label))
    return id ? vocabularyDesk().neighbourhood(key, id) : undefined
  }, [openAt, key])
  const [seen, setSeen] = useState<Neighbourhood>()
  if (opened.value && opened.value !== seen) {
    setSeen(opened.value)
    setWalked({ from: asked, at: opened.value })
  }
  return {
    asked,
    ask,
    // What failed says nothing of what the vocabulary has.
    answered: !answer.waiting && answer.failed === undefined,
    failed: answer.failed,
    offers: answer.value?.offers ?? NO_OFFERS,
    tops: tops ?? NO_OFFERS,
    shown: walked?.from === asked ? walked.at : answer.value?.best,
    go: (id) =>
      deed(
        vocabularyDesk()
          .neighbourhood(key, id)
          .then((at) => at && setWalked({ from: asked, at })),
      ),
  }
}
