/**
 * What the children's screen shows: moments in pictures, one after the other, and nothing that has to do with anybody's health. A
 * moment knows mats and pictures only; names, cards, findings and gates have no place in it.
 */
import { glossaryRow, type HomeWord } from '../../learn/glossary'
import { foodWord, verbWord } from '../../learn/step-words'
import type { GuessAsk } from '../../learn/line/line'
import type { Plan } from '../../plan/model/plan'
import type { Task } from '../../plan/model/task'
import { askedChoices } from '../../plan/model/choice'
import { waitKind, type WaitKind } from '../../plan/talk/facts/wait-kind'
import { handPicture, type HandPicture } from '../../plan/view/hand-picture'
import { sceneTogether, sceneView, type SceneView } from '../../plan/view/scene-view'
import type { StepTalk } from '../../plan/model/step-talk'
import type { TableState } from '../replay'
import type { TableTurn } from '../table'
import { guessCards } from '../tastings'
import { guessAsks } from './guessed'
import type { SayNow } from './say'

export type ShowMoment =
  /** The step as a picture, while the adults get ready. */
  | { kind: 'ready'; picture: string }
  | { kind: 'wash' }
  | { kind: 'story'; picture: string }
  | { kind: 'home'; word: HomeWord & { english: string }; id: string }
  | { kind: 'guess'; guess: GuessAsk }
  | { kind: 'now-next'; now: string; next: string | null }
  /** `food`, `to`: words whose pictures stand for it, and for where it goes or what is done. */
  | ({ kind: 'turn'; to: string | null } & HandPicture)
  /** Each child chooses: pictures of what it is offered, so many at once. */
  | { kind: 'choose'; foods: string[] }
  /** Pictures of what may be tasted; with eyes covered, cards to guess from: nothing tells which is which. */
  | { kind: 'tasting'; foods: string[]; covered: boolean }
  /** A picture that is built: each piece with the food that is this child's. */
  | ({ kind: 'scene' } & Pick<SceneView, 'on' | 'pieces'>)
  | { kind: 'wait'; wait: WaitKind }
  /** How it tasted: a tower of mats over each answer, growing. */
  | { kind: 'tastes' }
  /** Pictures of the session out of their order: which came first? */
  | { kind: 'order'; pictures: string[] }
  | { kind: 'done'; pictures: string[] }

/** So many pictures of the session are put in order at the end. */
const LOOK_BACK = 3

/** The table looks back: somebody tasted, said something of the day, or the session is closed, whatever turns were left. */
export const looksBack = (state: Pick<TableState, 'finished' | 'tastes' | 'lookBacks'>): boolean =>
  state.finished !== null || state.lookBacks.length > 0 || Object.keys(state.tastes).length > 0

/** Tokens are being put: the towers grow, and nothing else is shown until the table looks back at the day. */
export const isTasting = (state: Pick<TableState, 'finished' | 'tastes' | 'lookBacks'>): boolean =>
  Object.keys(state.tastes).length > 0 && state.finished === null && state.lookBacks.length === 0

/** Seconds that a moment is shown before the next; children need time to put pictures in order. */
export const showSeconds = (kind: ShowMoment['kind']): number => (kind === 'order' ? 25 : 8)

/**
 * @param say what the leader's screen says at this moment
 * @param turn whose turn it is; null where nobody has one
 * @param blocked something stands before the step: the children see the step only
 * @param guessed the guesses that somebody made, looked at again at the end
 * @param over the table looks back
 * @param tasting tokens of tastes are being put
 * @param tasted somebody has put one
 */
export function showMoments(
  plan: Plan,
  step: string,
  talk: StepTalk | null,
  say: SayNow,
  {
    turn,
    blocked,
    guessed = [],
    over = false,
    tasting = false,
    tasted = false,
  }: {
    turn: TableTurn | null
    blocked: boolean
    guessed?: readonly string[]
    over?: boolean
    tasting?: boolean
    tasted?: boolean
  },
): ShowMoment[] {
  const at = plan.schedule.findIndex((s) => s.step === step)
  const here = plan.schedule[at]
  if (tasting) return [{ kind: 'tastes' }]
  if (!here || over) return lookingBack(plan, guessed, tasted)
  if (blocked) return [{ kind: 'ready', picture: here.picture }]
  const task = plan.tasks.find((t) => t.id === turn?.task)
  if (task?.technique === 'wash-hands') return [{ kind: 'wash' }]
  const opening = say.lines.flatMap((l): ShowMoment[] => {
    if (l.kind === 'story') return [{ kind: 'story', picture: here.picture }]
    if (l.kind === 'guess' && l.guess) return [{ kind: 'guess', guess: l.guess }]
    if (l.kind === 'home' && l.home)
      return [{ kind: 'home', word: l.home, id: wordIdOf(talk, l.home.english) }]
    if (l.id === 'now-next' || l.id === 'now-last')
      return [{ kind: 'now-next', now: here.picture, next: plan.schedule[at + 1]?.picture ?? null }]
    return []
  })
  if (!task) return [...opening, ...waiting(plan, step, at, guessed)]
  return [
    ...opening,
    ...choosing(plan, step, turn?.who),
    ...building(plan, step, turn?.who),
    ...tasteCards(plan, step, turn?.who ?? null),
    turnMoment(plan, task, turn?.who),
  ]
}

/** What the hands of a child do in a job, with the tool that is for this child. */
export function turnMoment(plan: Plan, task: Task, child: string | undefined): ShowMoment {
  const bowl = plan.bowls.find((b) => b.id === task.bowl)
  const hands = handPicture(task, bowl?.lines ?? [], child)
  const to = task.measured ? 'bowl' : (verbWord(task.technique) ?? null)
  return { kind: 'turn', to, ...hands, food: hands.food === null ? null : pictured(hands.food) }
}

/** What is held up to a child where it chooses: first what it is reckoned to take. Only foods with a picture. */
const choosing = (plan: Plan, step: string, child: string | undefined): ShowMoment[] =>
  choicesAt(plan, step).flatMap((c): ShowMoment[] => {
    const offer = c.offers.find((o) => o.child === child)
    const foods = offeredFoods(c, [...(offer?.picks ?? []), ...(offer?.lines ?? [])])
    return foods.length < 2 ? [] : [{ kind: 'choose', foods: foods.slice(0, offer?.atOnce ?? 2) }]
  })

/** What is built, of what this child took or is reckoned to take. */
const building = (plan: Plan, step: string, child: string | undefined): ShowMoment[] => {
  const view = sceneView(plan, step, child ?? null)
  return view ? [{ kind: 'scene', on: view.on, pieces: view.pieces }] : []
}
/** What may be tasted here; null: by everybody. */
export const tasteCards = (plan: Plan, step: string, child: string | null): ShowMoment[] => {
  const tasting = plan.tastings?.find((t) => t.step === step)
  const foods = guessCards(plan, step, child)
  return tasting && foods.length > 1 ? [{ kind: 'tasting', foods, covered: tasting.covered }] : []
}
/** The same for the wall. */
export const buildingTogether = (plan: Plan, step: string): ShowMoment[] => {
  const view = sceneTogether(plan, step)
  return view ? [{ kind: 'scene', ...view }] : []
}

/** The same for a picture on the wall, which all see: only what is offered to every child. */
export const choosingTogether = (plan: Plan, step: string): ShowMoment[] =>
  choicesAt(plan, step).flatMap((c): ShowMoment[] => {
    const [first, ...others] = c.offers
    const shared = (first?.lines ?? []).filter((l) => others.every((o) => o.lines.includes(l)))
    const foods = offeredFoods(c, shared)
    return foods.length < 2 ? [] : [{ kind: 'choose', foods }]
  })

type Choice = NonNullable<Plan['choices']>[number]
const choicesAt = (plan: Plan, step: string): Choice[] =>
  askedChoices(plan.choices ?? []).filter((c) => c.step === step)

const offeredFoods = (choice: Choice, lines: readonly string[]): string[] => [
  ...new Set(lines.flatMap((l) => pictured(choice.lines.find((x) => x.line === l)?.food ?? '') ?? [])),
]

/** The word whose picture stands for a food; null where there is none: an empty frame tells a child nothing. */
const pictured = (food: string): string | null => glossaryRow(foodWord(food))?.id ?? null

const wordIdOf = (talk: StepTalk | null, english: string): string =>
  talk?.words.find((w) => w.word === english)?.id ?? ''

function waiting(plan: Plan, step: string, at: number, guessed: readonly string[]): ShowMoment[] {
  const wait = plan.tasks.find((t) => t.step === step && t.mode === 'WAIT')
  if (wait) {
    const foods = plan.bowls.flatMap((b) => b.lines).map((l) => l.food)
    return [{ kind: 'wait', wait: waitKind(wait, foods) }]
  }
  return at === plan.schedule.length - 1
    ? lookingBack(plan, guessed)
    : [
        {
          kind: 'now-next',
          now: plan.schedule[at]?.picture ?? '',
          next: plan.schedule[at + 1]?.picture ?? null,
        },
      ]
}

/** At the end: what was guessed beside what it was, three pictures to put in order, how it tasted, and the order they came in. */
function lookingBack(plan: Plan, guessed: readonly string[], tasted = false): ShowMoment[] {
  const asks = guessAsks(plan)
  const pictures = picturesOf(plan)
  const guesses = guessed.flatMap((id): ShowMoment[] => {
    const guess = asks.get(id)
    return guess ? [{ kind: 'guess', guess }] : []
  })
  const mixed = [...pictures.slice(1), ...pictures.slice(0, 1)]
  const order: ShowMoment[] = new Set(pictures).size > 2 ? [{ kind: 'order', pictures: mixed }] : []
  const towers: ShowMoment[] = tasted ? [{ kind: 'tastes' }] : []
  return [...guesses, ...order, ...towers, { kind: 'done', pictures }]
}

/** Pictures of a few steps as they came, the first and the last among them. */
function picturesOf(plan: Plan): string[] {
  const steps = plan.schedule.slice(1)
  const pick = [0, Math.floor((steps.length - 1) / 2), steps.length - 1]
  return [...new Set(pick)].slice(0, LOOK_BACK).flatMap((i) => steps[i]?.picture ?? [])
}
