/**
 * Facts of a step: what is there to count, compare, share or tell, drawn from the plan's own amounts. Exact always.
 * Source: learning.md B0 (field names and formulas).
 */
import type { Ratio } from '../amount/ratio'

export type Fact =
  | {
      kind: 'scoop'
      food: string
      unit: string
      unitWord: string
      target: Ratio
      measure: Ratio
      k: number
      /** A liquid, poured: it is full or not, never heaped. */
      pours?: true
      /** Sizes of that unit in the box: only these are offered as another way. Plans frozen before 0.3.1 have none. */
      measures?: Ratio[]
    }
  /** `aloud`: numbers said in time to an action, not things to touch; `each`: so many for each child, not for the table. */
  | { kind: 'count'; food: string; n: number; aloud?: true; each?: true }
  | { kind: 'share'; food: string; n: number; people: number; cuttable?: true }
  | { kind: 'timer'; minutes: number; start: string }
  /** The steps by name, and which of them this is, from 1. */
  | { kind: 'order'; steps: string[]; i: number }
  | { kind: 'jug'; vessel: string; capacity: Ratio; amount: Ratio; unit: string }
  /** One amount filled with measures of several sizes, the largest first. */
  | {
      kind: 'vessel'
      food: string
      parts: { name: string; size: Ratio; unit: string; n: number }[]
      k: number
    }
  /**
   * `held`: the part of the whole thing that one child has in its hand (1 where it is not said); `through`: cut through the middle;
   * `scattered`: in pieces that do not lie side by side.
   */
  | {
      kind: 'cut'
      food: string
      items: number
      pieces: number
      held?: Ratio
      through?: true
      scattered?: true
      /** What part a child holds has no name: pieces are counted, and no part is named. */
      unnamed?: true
    }
  /** Laid on one another once, from below. */
  | { kind: 'layers'; core: string[] }
  | { kind: 'layer'; core: string[]; repeats: number; i: number }
  /** `cut`: its places are cut, not filled. */
  | { kind: 'tin'; rows: number; cols: number; filled: number; cut?: true }
  | { kind: 'weigh'; food: string; grams: Ratio; division: number }
  | {
      kind: 'compare'
      a: { name: string; amount: Ratio }
      b: { name: string; amount: Ratio }
      attribute: string
      unit?: string
    }
  /** Whole pence or cents; `about`: rounded. */
  | { kind: 'price'; cost_pence: Ratio; serves: number; about?: true }
  | { kind: 'scale'; food: string; amount: Ratio; unit: string; from: number; to: number }
  | { kind: 'temp'; value: number; unit: 'C'; other: number }
  | { kind: 'shape'; food: string; shape: string }
  /** A picture with as many on the left as on the right: `side` on each. */
  | { kind: 'mirror'; food: string; of: string; side: number }
  /** Foods that are tasted side by side, or with eyes covered. */
  | { kind: 'tastes'; foods: string[]; covered?: true }
  | { kind: 'vote'; options: Record<string, number> }
  /**
   * Nothing to count: what there is to talk of in this work. `about`: keys of questions (`do-stir`, `topic-mix`, `food`, `wait-oven`).
   * Plans frozen before 0.14 have a topic instead, and nothing is asked of it any more.
   */
  | {
      kind: 'tell'
      about: string[]
      food: string
      foodId?: string
      title?: string
      serves?: string
      people?: string
    }
  | { kind: 'tell'; topic: Topic; food: string }

/** Sorts of steps, by what there is to tell. */
export type Topic =
  | 'wash'
  | 'scoop'
  | 'count'
  | 'cut'
  | 'mash'
  | 'mix'
  | 'knead'
  | 'layer'
  | 'share'
  | 'weigh'
  | 'wait'
  | 'taste'
  | 'tidy'
