/** The talk of a plan as it is looked at: targets by child, the words of the day, and all that belongs to a step. */
import { actOf, soundOfDay, TASTING_WORDS, type SoundOfDay } from '../../learn/acts'
import type { Glossary, StepWord } from '../../learn/glossary'
import { startLevel } from '../../learn/levels'
import type { TalkLine } from '../../learn/line/line'
import { beginAt, promptsFor, rungsOf } from '../../learn/prompts'
import { scienceOf, type Science } from '../../learn/science'
import { targetOf, TARGETS } from '../../learn/targets'
import { tellingsOf } from '../../learn/tellings'
import { targetOfWord, wordsOfTopic, wordsOfWait } from '../../learn/step-words'
import type { Plan } from '../../plan/model/plan'
import { waitKind } from '../../plan/talk/facts/wait-kind'
import { scoopsText } from '../../plan/model/scoop-sequence'
import { TASTE_WORDS, TASTES, type Taste } from '../event'
import type { AskReason, StepTalk } from '../../plan/model/step-talk'

export interface CoverageRow {
  target: string
  says: string
  strand: string
  standards: string
  /** A target of the week. */
  week: boolean
  /** By child: asked, or heard as a word of a step that it takes part in. Nobody else stands here. */
  met: Record<string, { how: 'asked' | 'heard'; steps: string[] }>
}

/** Targets against children: those of the week first, then as they come in the list of targets. */
export function coverage(plan: Plan, glossary: Glossary): CoverageRow[] {
  const rows = new Map<string, CoverageRow['met']>()
  const meet = (target: string, child: string, how: 'asked' | 'heard', step: string): void => {
    const met = rows.get(target) ?? {}
    const known = met[child]
    const steps = [...new Set([...(known?.steps ?? []), step])]
    met[child] = { how: known?.how === 'asked' ? 'asked' : how, steps }
    rows.set(target, met)
  }
  for (const talk of plan.talk) {
    const title = plan.schedule.find((s) => s.step === talk.step)?.title ?? talk.step
    for (const a of talk.asks ?? [])
      if (a.child) for (const id of [a.target, ...(a.also ?? [])]) if (id) meet(id, a.child, 'asked', title)
    for (const w of talk.words) {
      const target = targetOfWord(w.id, glossary.kind(w.id))
      if (target) for (const child of childrenIn(plan, talk.step)) meet(target, child, 'heard', title)
    }
  }
  const week = new Set(plan.week ?? [])
  for (const id of week) if (!rows.has(id)) rows.set(id, {})
  const order = new Map(TARGETS.map((t, i) => [t.id, i]))
  return [...rows]
    .flatMap(([id, met]): CoverageRow[] => {
      const t = targetOf(id)
      if (!t) return []
      const { says, strand, standards } = t
      return [{ target: id, says, strand, standards, week: week.has(id), met }]
    })
    .sort(
      (a, b) => Number(b.week) - Number(a.week) || (order.get(a.target) ?? 0) - (order.get(b.target) ?? 0),
    )
}

/** Who takes part in a step; everybody where it is an adult's or a wait. */
export function childrenIn(plan: Plan, step: string): string[] {
  const tasks = new Set(plan.tasks.filter((t) => t.step === step).map((t) => t.id))
  const doing = new Set(plan.turns.filter((t) => tasks.has(t.task)).map((t) => t.child))
  const all = plan.children.map((c) => c.id)
  return doing.size > 0 ? all.filter((id) => doing.has(id)) : all
}

/** Why a child is asked this, in words. */
export const REASON_WORDS: Record<AskReason | 'own', string> = {
  due: 'comes back today',
  new: 'new at this age',
  growing: 'growing',
  'before its time': 'before its time: nothing is expected',
  known: 'known already',
  own: 'your own words',
}

/** What to ask of the tastes as they really are, for the middle age at the table; nothing while nobody chose. */
export function voteTalk(plan: Plan, tastes: Readonly<Record<string, Taste>>): TalkLine[] {
  const options = Object.fromEntries(
    TASTES.map((t) => [TASTE_WORDS[t], Object.values(tastes).filter((x) => x === t).length]),
  )
  const ages = plan.children.map((c) => c.months).sort((a, b) => a - b)
  const middle = ages[Math.floor(ages.length / 2)]
  if (middle === undefined || Object.keys(tastes).length === 0) return []
  const prompts = promptsFor({ kind: 'vote', options }, middle, plan.locale)
  return [...new Set(prompts.map((p) => p.line))].flatMap((line): TalkLine[] => {
    const rungs = rungsOf(prompts, line)
    const rung = rungs[beginAt(rungs, startLevel(middle, plan.talking))]
    if (!rung || line === undefined) return []
    const { says, answer, level, target } = rung
    return [{ id: line, kind: 'question', says, answer, level, target, rungs }]
  })
}

/** 24 -> "2 years". */
export const yearsText = (months: number): string => `${Math.floor(months / 12)} years`

export interface DayTalk {
  /** The word to say often today. */
  word: StepWord & { act?: string; steps: string[] }
  sound: SoundOfDay | null
  /** The parts of a written recipe, with this one's. */
  recipe: { part: string; says: string }[]
  tasting: Readonly<Record<string, readonly string[]>>
}

/** The word, the sound and the recipe's own words of the day. Null where the plan has no words. */
export function talkOfDay(plan: Plan, glossary: Glossary, languages: readonly string[]): DayTalk | null {
  const words = plan.talk.flatMap((t) => t.words.map((w) => ({ ...w, step: t.step })))
  // The most exact action is the one least often heard elsewhere.
  const rank = (id: string): number =>
    ['lang-verb-3', 'lang-verb-2', 'lang-verb-1'].indexOf(targetOfWord(id, glossary.kind(id)) ?? '')
  const best = [...words].sort((a, b) => ((rank(a.id) + 4) % 4) - ((rank(b.id) + 4) % 4))[0]
  if (!best) return null
  const title = (step: string): string => plan.schedule.find((s) => s.step === step)?.title ?? step
  const act = actOf(best.id)
  const lines = plan.bowls[0]?.lines ?? []
  const makes = plan.recipe.pieces
    ? `${plan.recipe.pieces.n} ${plan.recipe.pieces.what}`
    : `for ${plan.recipe.serves}`
  return {
    word: {
      ...glossary.word(best.id, languages),
      ...(act && { act }),
      steps: words.filter((w) => w.id === best.id).map((w) => title(w.step)),
    },
    sound: soundOfDay(words.map((w) => w.word)),
    recipe: [
      { part: 'title', says: plan.recipe.title },
      { part: 'makes', says: makes },
      { part: 'ingredients', says: `${lines.length}, the first is ${lines[0]?.name ?? 'none'}` },
      { part: 'method', says: `${plan.schedule.length} steps, each begins with what to do` },
    ],
    tasting: TASTING_WORDS,
  }
}

export interface StepMore {
  acts: { word: string; act: string }[]
  verbs: StepWord[]
  places: StepWord[]
  pair: StepWord[]
  sequence: StepWord[]
  senses: Record<string, string[]>
  science: Science[]
  /** The first work of the step as told at four ages; null where Lea has no words for it. */
  told: string[] | null
}

/** All that there is to say in a step beyond its two words. */
export function stepMore(
  plan: Plan,
  talk: StepTalk,
  glossary: Glossary,
  languages: readonly string[],
): StepMore {
  const bowl = plan.bowls[0]?.id
  const all = plan.tasks.filter((t) => t.step === talk.step && t.bowl === bowl)
  // A wash that hygiene put in is not what the step is about.
  const own = all.filter((t) => t.technique !== 'wash-hands')
  const tasks = own.length > 0 ? own : all
  const techniques = tasks.map((t) => t.technique)
  const topic = wordsOfTopic(techniques)
  const wait = tasks.every((t) => t.mode === 'WAIT' || t.mode === 'ADULT')
    ? tasks.find((t) => t.mode === 'WAIT')
    : undefined
  const shown = new Set(talk.words.map((w) => w.id))
  const words = (ids: readonly string[]): StepWord[] =>
    ids.filter((id) => glossary.has(id) && !shown.has(id)).map((id) => glossary.word(id, languages))
  const lines = plan.bowls.flatMap((b) => b.lines)
  const foods = tasks.flatMap((t) => lines.filter((l) => t.uses.includes(l.id)).map((l) => l.food))
  return {
    acts: talk.words.flatMap((w) => {
      const act = actOf(w.id)
      return act ? [{ word: w.word, act }] : []
    }),
    verbs: words(topic.verbs),
    places: words(topic.places),
    pair: topic.pair.filter((id) => glossary.has(id)).map((id) => glossary.word(id, languages)),
    sequence: words(topic.sequence),
    senses: wait
      ? wordsOfWait(
          waitKind(
            wait,
            lines.map((l) => l.food),
          ),
        ).senses
      : topic.senses,
    // Where it stands counts too: a fridge, a freezer.
    science: scienceOf(
      [...techniques, ...tasks.map((t) => t.place)],
      foods,
      lines.map((l) => l.food),
    ),
    told: toldOf(plan, talk, tasks),
  }
}

function toldOf(plan: Plan, talk: StepTalk, tasks: Plan['tasks']): string[] | null {
  const first = tasks.find((t) => t.mode !== 'WAIT' && t.mode !== 'ADULT') ?? tasks[0]
  if (!first) return null
  const step = plan.schedule.find((s) => s.step === talk.step)
  const line = plan.bowls.flatMap((b) => b.lines).find((l) => first.uses.includes(l.id))
  const measured = first.measured
  const wait = tasks.find((t) => t.mode === 'WAIT')
  const technique = first.mode === 'WAIT' || first.mode === 'ADULT' ? 'wait' : first.technique
  return tellingsOf(technique, {
    food: line?.name,
    measure: measured?.by === 'scoop' && !measured.any ? measured.parts[0]?.name : undefined,
    amount: measured?.by === 'scoop' ? scoopsText(measured) : line?.text,
    minutes: wait ? Math.max(1, Math.round(wait.seconds / 60)) : undefined,
    at: step?.at,
  })
}
