/** The parts of a recipe, each text with the heading that it stands under. */

export interface PlacedText {
  text: string
  /** The heading that it stands under: "For the dough". */
  part?: string
}
export interface Sections {
  title: string
  /** Lines that say how much it makes, how long it takes. */
  about: string[]
  ingredients: PlacedText[]
  steps: PlacedText[]
  /** What stands under a heading of its own. */
  tools: string[]
  storage: string[]
  other: string[]
  /** The list is one child's. */
  perChild?: boolean
}
