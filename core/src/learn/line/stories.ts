/** Told stories with the step as the next page. Source: core/data/talk/stories.json (traditional tales, told anew). */
import { capitalised } from '../../amount/letter-case'
import data from '../../../data/talk/stories.json'
import { sentence, type Locale } from '../fact/saying'

export interface Story {
  id: string
  title: string
  dishes: string[]
  start: string
  refrain: string
  end: string
}
const STORIES: readonly Story[] = data.stories

/** The first story that goes with a dish, by its title; undefined where none does. */
export function storyOf(title: string): Story | undefined {
  const words = title.toLowerCase()
  return STORIES.find((s) => s.dishes.some((d) => words.includes(d)))
}

/** The page of a step: its refrain with what is done. Undefined where the title says nothing one does. */
export function storyPage(story: Story, doing: string | undefined, locale: Locale): string | undefined {
  if (doing === undefined) return undefined
  const Do = capitalised(doing)
  return sentence(story.refrain, { do: doing, Do }, locale)
}
