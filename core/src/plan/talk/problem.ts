/** The choice of talk as a problem: what there is to ask of whom, in which step; definition at the head of choose.ts. */

export interface TalkOption {
  child: number
  /** The target met, and all that the question touches. */
  target: string
  touches: readonly string[]
  /** 0 and more: how far from the edge. */
  cost: number
  /** At the edge of what the child can do. */
  edge: boolean
  /** The target is due to come back to this child. */
  due: boolean
  /** The question: the same is not asked twice. */
  says: string
  /** Its words on the rung on which it begins: nor are these. */
  text: string
  /** It is about what comes before and after: of these there are few in a session. */
  order: boolean
}
export interface TalkIdea {
  id: string
  kind: string
  /** 0 for what the step is most about. */
  rank: number
  options: readonly TalkOption[]
}
export interface TalkStep {
  ideas: readonly TalkIdea[]
  /** What there is to tell, beside whatever idea. */
  tell: readonly TalkOption[]
  /** At most so many questions. */
  most: number
  /** Children who must be asked here, where there is anything to ask them. */
  must: readonly number[]
}
export interface TalkProblem {
  children: readonly {
    /** Questions that it was asked in each of its last sessions, on average, in twelfths. */
    heard: number
    /** Questions to it today, at most: comments stand beside them. */
    most: number
  }[]
  week: readonly string[]
  /** Questions in all, at most; and of those about what comes before and after. */
  most: number
  mostOrder: number
  steps: readonly TalkStep[]
}
export interface StepChoice {
  /** Index of the idea; -1 where the step has none. */
  idea: number
  asks: TalkOption[]
}
