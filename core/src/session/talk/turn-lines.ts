/** What may be said in one turn: the question that was chosen, else a comment on the work, the amount so far, or the food in the hand. */
import { remembered } from '../../amount/memo'
import { aboutWork } from '../../learn/line/about'
import { commentsOn, suitsAge, type Comment } from '../../learn/line/comments'
import { foodValues } from '../../learn/line/food-card'
import type { TalkLine } from '../../learn/line/line'
import { TICK_LINE } from '../../learn/line/looking-back'
import { PASS_ON, WASHING_SONG } from '../../learn/line/routines'
import { valuesOf } from '../../learn/fact/answer'
import { sentence, type Locale, type Values } from '../../learn/fact/saying'
import type { Fact } from '../../learn/facts'
import { scoopFact } from '../../plan/talk/facts/measured-facts'
import { foodInHand, spokenName } from '../../plan/talk/facts/in-hand'
import { tasted } from '../../plan/talk/facts/tell-facts'
import type { Plan } from '../../plan/model/plan'
import type { Ask, StepTalk } from '../../plan/model/step-talk'
import type { Task, Turn } from '../../plan/model/task'
import type { Hearing } from './hearing'

export interface TurnAt {
  child: string
  /** Which turn of the task, from 0. */
  i: number
  /** Scoops that are in. */
  k: number
  /** Of the turn: other turns begin with other lines. */
  key: string
  last: boolean
}

const localeOf = (plan: Plan): Locale => plan.locale ?? 'en-GB'
const monthsOf = (plan: Plan, child: string): number =>
  plan.children.find((c) => c.id === child)?.months ?? 48

/** Lines for a turn, the best first. */
export function turnLines({ plan, bowl }: Hearing, talk: StepTalk, task: Task, at: TurnAt): TalkLine[] {
  const months = monthsOf(plan, at.child)
  const asked = askedNow(plan, talk, task, at)
  const comments = commentLines(plan, talk, task, at, months, bowl)
  if (task.technique === 'wash-hands') return [...asked, SONG, ...comments]
  return [...asked, ...comments, ...handingOn(months, at)]
}

/** At the tap everybody sings; what is said besides is on "another". */
const SONG: TalkLine = { id: 'song', kind: 'routine', says: WASHING_SONG.map((l) => l.says).join(' ') }

/** The question to this child in this task, in its first turn of it; one's own words first. */
function askedNow(plan: Plan, talk: StepTalk, task: Task, { child, key }: TurnAt): TalkLine[] {
  const first = plan.turns.find((t) => t.task === task.id && t.child === child)?.id === key
  if (!first) return []
  const { step } = task
  const inStep = plan.tasks.filter((x) => x.step === step)
  const firstIn = (tasks: readonly Task[]): Turn | undefined =>
    plan.turns.find((t) => t.child === child && tasks.some((x) => x.id === t.task))
  // At a tap in the middle of it all only the washing is spoken of: what else is asked waits for the work, or for the wait.
  const work = firstIn(inStep.filter(works))
  const waits = inStep.some((x) => x.mode === 'WAIT' || x.mode === 'ADULT')
  return (talk.asks ?? []).flatMap((a) => {
    if (a.child !== null && a.child !== child) return []
    // With the first step stands what is asked while the recipe is read.
    const own = a.why === 'own'
    const reading = !own && step === plan.schedule[0]?.step
    const at = work ?? (own || !waits ? firstIn(inStep) : undefined)
    if (a.task === undefined ? reading || at?.id !== key : a.task !== task.id) return []
    return [askLine(a)]
  })
}

/** Work on the food, and not a wash. */
export const works = (task: Task): boolean => task.technique !== 'wash-hands'

/** A question with its rungs, or words of one's own. */
export function askLine(ask: Ask): TalkLine {
  return {
    id: ask.line ?? 'own',
    kind: ask.why === 'own' ? (ask.kind ?? 'question') : 'question',
    says: ask.says,
    answer: ask.answer,
    level: ask.level,
    ...(ask.target && { target: ask.target }),
    ...(ask.also && { also: ask.also }),
    ...(ask.rungs && ask.rungs.length > 1 && { rungs: ask.rungs }),
    ...(ask.key?.includes(' ') && { food: ask.key.slice(ask.key.indexOf(' ') + 1) }),
  }
}

/** Comments change places from turn to turn, so that neighbours hear different things. */
function commentLines(
  plan: Plan,
  talk: StepTalk,
  task: Task,
  at: TurnAt,
  months: number,
  bowl: string,
): TalkLine[] {
  const locale = localeOf(plan)
  const lines = plan.bowls.find((b) => b.id === bowl)
  const food = lines && (foodInHand(task, lines) ?? (task.technique === 'taste' ? tasted(lines) : undefined))
  const values = food ? foodValues(food.food, spokenName(food), locale) : undefined
  const [work = '', sort = ''] = aboutWork(task.technique)
  const found = [
    factComments(plan, talk, task, at, locale),
    commentsOn(work, values, locale),
    values && task.technique !== 'taste' ? foodComments(values, locale, at) : [],
    task.technique === 'taste' ? commentsOn('taste', values, locale) : commentsOn(sort, values, locale),
  ].map((list) => list.filter((c) => suitsAge(c, months)))
  const groups = months < 36 ? [found[1], found[0], found[2], found[3]] : turned(found, at.i)
  const tick =
    values && at.i === 0 && months >= TICK_LINE.from ? sentence(TICK_LINE.says, values, locale) : undefined
  return [
    ...interleaved(groups.map((g) => turned(g ?? [], hash(`${plan.session} ${at.key}`)))).map(asLine),
    ...(tick === undefined ? [] : [{ id: TICK_LINE.id, kind: 'read' as const, says: tick }]),
  ]
}

/** What is said of a food stands with its first turns; later it is known. */
const foodComments = (values: Values, locale: Locale, { i }: TurnAt): Comment[] =>
  i < FOOD_TURNS ? commentsOn('food', values, locale) : []
const FOOD_TURNS = 6

function factComments(plan: Plan, talk: StepTalk, task: Task, { k }: TurnAt, locale: Locale): Comment[] {
  const scooped = scoopFact(task, plan.bowls, [])
  if (scooped && (scooped.kind === 'scoop' || scooped.kind === 'vessel')) {
    return commentsOn(
      `${scooped.kind}.${k === 0 ? '0' : 'k'}`,
      factValues({ fact: { ...scooped, k }, locale }),
      locale,
    )
  }
  return (talk.beside ?? []).filter((f) => f.task === task.id).flatMap(({ fact }) => factLines(fact, locale))
}
/** Comments on a fact as it stands. */
export const factLines = (fact: Fact, locale: Locale): Comment[] =>
  fact.kind === 'tell' ? [] : commentsOn(fact.kind, factValues({ fact, locale }), locale)

/** The values of a fact are worked out once. */
const factValues = remembered(
  500,
  ({ fact, locale }: { fact: Fact; locale: Locale }): Values => valuesOf({ ...fact }, locale),
  ({ fact, locale }) => `${locale} ${JSON.stringify(fact)}`,
)

export const asLine = ({ id, says }: Comment): TalkLine => ({ id, kind: 'comment', says })

/** Where all is said: handing on, starting and stopping, the same every time. */
function handingOn(months: number, { i, last }: TurnAt): TalkLine[] {
  const rows = PASS_ON.filter((r) => suitsAge(r, months) && !(last && r.handsOn === true))
  return turned(rows, i).map(({ id, says }) => ({ id, kind: 'routine' as const, says }))
}

const turned = <T>(list: readonly T[], by: number): T[] => {
  const n = list.length === 0 ? 0 : by % list.length
  return [...list.slice(n), ...list.slice(0, n)]
}
/** One of each list in turn. */
const interleaved = <T>(lists: readonly (readonly T[])[]): T[] =>
  Array.from({ length: Math.max(0, ...lists.map((l) => l.length)) }, (_, i) =>
    lists.flatMap((l) => l[i] ?? []),
  ).flat()
function hash(text: string): number {
  let h = 7
  for (const c of text) h = (h * 31 + (c.codePointAt(0) ?? 0)) % 100_003
  return h
}
