/**
 * Pass 9, talk: for each step one maths idea, two words, and who is asked what; chosen over the whole session (choose.ts).
 *
 * At the table it goes on from there, turn by turn (session/say.ts): whoever is not asked here hears a comment.
 */
import { countLimit } from '../../craft/ages'
import { factLabel } from '../../learn/fact-words'
import type { Fact } from '../../learn/facts'
import { startLevel, type SupportLevel, type TalkRule } from '../../learn/levels'
import { beginAt, largestNumber, suited } from '../../learn/prompts'
import { Glossary } from '../../learn/glossary'
import { chooseWords } from '../../learn/step-words'
import type { RecipeStep } from '../../recipe/recipe'
import type { Gathered, Pass, DraftChild, Talked } from '../model/draft'
import type { PlanRequest } from '../model/request'
import { chooseTalk } from './choose'
import { candidates, FIRST_MONTHS, TalkHistory, Sayings, type Candidate } from './options'
import type { StepChoice, TalkProblem, TalkStep } from './problem'
import { factsOf, type StepFact, type TalkedStep } from './step-facts'
import { localeOf } from '../model/request'
import { uncoveredOf } from './uncovered'
import type { Ask, StepTalk } from '../model/step-talk'

/** The last pass: one idea a step, two words, and who is asked what. */
export const talk: Pass<Gathered, Talked> = (draft, request) => {
  const locale = localeOf(request)
  const sayings = new Sayings(locale)
  const steps = draft.recipe.steps.map((step) => stepOf(step, draft, request))
  const heard = new Map(
    draft.people.map((p) => [p.id, new TalkHistory(p, request.session.date, request.rules.talk)]),
  )
  const problem = problemOf(steps, draft, request, sayings, heard)
  const choice = chooseTalk(problem)
  const glossary = new Glossary(request.words ?? [], locale)
  const words = chooseWords(
    steps.map(({ step }) => ({
      techniques: step.tasks.map((t) => t.technique),
      foods: step.uses.flatMap((u) => draft.lines.filter((l) => l.line === u.line).map((l) => l.food)),
    })),
    glossary,
    steps.map((s) => s.here.map((p) => p.age)),
    request.rules.targets ?? [],
  )
  const languages = [...new Set(draft.people.flatMap((p) => p.languages))]
  const list = steps.map((s, i): StepTalk => {
    const spoken = stepTalk(s, choice[i], draft.people, sayings, request)
    return { ...spoken, words: (words[i] ?? []).map((id) => glossary.word(id, languages)) }
  })
  return {
    draft: { ...draft, talk: list, uncovered: uncoveredOf(steps, problem, list, draft.people, heard) },
    findings: [],
  }
}

function stepOf(step: RecipeStep, draft: Gathered, request: PlanRequest): TalkedStep {
  const box = request.kit.measures
  const byBowl = new Map(draft.bowls.map((b) => [b.id, factsOf(step, draft, b, box)]))
  const inStep = new Set(draft.tasks.filter((t) => t.step === step.id).map((t) => t.id))
  const doing = new Set(draft.turns.filter((t) => inStep.has(t.task)).map((t) => t.child))
  const old = draft.people.filter((p) => p.age >= FIRST_MONTHS)
  // While it bakes, or while an adult works, everybody looks on: the best time to talk.
  const here = doing.size > 0 ? old.filter((p) => doing.has(p.id)) : old
  const own = request.decisions.flatMap((d): Ask[] =>
    d.kind === 'own-prompt' && d.step === step.id
      ? [{ child: d.child, target: '', level: 'open', says: d.says, answer: d.answer, why: 'own' }]
      : [],
  )
  return { step, facts: [...byBowl.values()][0] ?? [], byBowl, here, own }
}

/** Questions in a session: enough that everybody is asked, and one a step; more or fewer where the setting says so. */
function mostAsks(steps: readonly TalkedStep[], people: number, rule: TalkRule | undefined): number {
  const withChildren = steps.filter((s) => s.here.length > 0).length
  const share = rule === 'ask' ? 1.5 : rule === 'comment' ? 0.5 : 1
  return Math.max(people, Math.ceil(withChildren * share))
}

function problemOf(
  steps: readonly TalkedStep[],
  draft: Gathered,
  request: PlanRequest,
  sayings: Sayings,
  heard: ReadonlyMap<string, TalkHistory>,
): TalkProblem {
  const { decisions, rules } = request
  const week = rules.targets ?? []
  const asked = draft.people.filter((p) => steps.some((s) => s.here.includes(p)))
  const most = mostAsks(steps, asked.length, rules.talk)
  const a = Math.max(1, Math.ceil(most / Math.max(1, steps.filter((s) => s.here.length > 0).length)))
  const options = (here: readonly DraftChild[], factFor: (p: DraftChild) => Fact | undefined): Candidate[] =>
    here.flatMap((p) => {
      const fact = factFor(p)
      const known = heard.get(p.id)
      if (!fact || !known) return []
      const said = sayings.of(fact)
      const top: SupportLevel = said.largest > countLimit(p.age) ? 'choice' : 'open'
      const child = { index: draft.people.indexOf(p), months: p.age, heard: known }
      return candidates(said.all, child, top, week)
    })
  const bowlOf = (p: DraftChild): string =>
    draft.bowls.find((b) => b.children.includes(p.id))?.id ?? draft.bowls[0]?.id ?? ''
  const list = steps.map((s): TalkStep => {
    const pinned = decisions.flatMap((d) => (d.kind === 'idea' && d.step === s.step.id ? [d.idea] : []))[0]
    const quiet = decisions.some((d) => d.kind === 'quiet' && d.step === s.step.id)
    const must = decisions.flatMap((d) => {
      const i =
        d.kind === 'ask' && d.step === s.step.id ? draft.people.findIndex((p) => p.id === d.child) : -1
      return i >= 0 ? [i] : []
    })
    const facts = s.facts.filter((f) => f.fact.kind !== 'tell')
    const open = facts.some((f) => f.id === pinned) ? facts.filter((f) => f.id === pinned) : facts
    const factIn = (id: string) => (p: DraftChild) => s.byBowl.get(bowlOf(p))?.find((f) => f.id === id)?.fact
    return {
      ideas:
        pinned === 'tell'
          ? []
          : open.map(({ id, fact }, rank) => ({
              id,
              kind: fact.kind === 'count' && fact.aloud ? 'aloud' : fact.kind,
              rank: fact.kind === 'order' ? rank + ORDER_COST : rank,
              options: options(s.here, factIn(id)),
            })),
      tell: options(s.here, factIn('tell')).map((o) => ({ ...o, cost: o.cost + TELL_COST })),
      most: quiet ? 0 : Math.max(a - s.own.length, must.length),
      must,
    }
  })
  return {
    children: draft.people.map((p) => ({ heard: meanOf(p.talk?.heard ?? []) })),
    week,
    most: Math.max(
      most,
      list.reduce((n, s) => n + s.must.length, 0),
    ),
    steps: list,
  }
}
/** Rather the step's idea than a question about words alone, where both are as near. */
const TELL_COST = 3
/** What comes before and after can be said of every step: rather something of its own. */
const ORDER_COST = 16
/** Twelfths of a question in each of its last sessions. */
const meanOf = (heard: readonly number[]): number =>
  heard.length === 0 ? 0 : Math.round((12 * heard.reduce((a, b) => a + b, 0)) / heard.length)

function stepTalk(
  s: TalkedStep,
  choice: StepChoice | undefined,
  people: readonly DraftChild[],
  sayings: Sayings,
  request: PlanRequest,
): StepTalk {
  const facts = s.facts.filter((f) => f.fact.kind !== 'tell')
  const idea = choice && ideaOf(choice, s, request)
  const chosen = idea ?? s.facts.find((f) => f.id === 'tell') ?? s.facts[0]
  const told = s.facts.find((f) => f.id === 'tell')
  const asks = [...s.own, ...(choice?.asks ?? []).map((o) => askOf(o as Candidate, people))]
  const first = asks.find((a) => a.child !== null)
  const months = people.find((p) => p.id === first?.child)?.age ?? s.here[0]?.age ?? 48
  const fact = chosen?.fact ?? null
  const prompts = fact
    ? suited(
        sayings.of(fact).all.map((s) => s.prompt),
        months,
      )
    : []
  return {
    step: s.step.id,
    fact,
    child: first?.child ?? null,
    prompts,
    start: fact ? beginAt(prompts, levelFor(fact, months, request.rules.talk)) : 'model',
    words: [],
    ...(chosen && { idea: chosen.id }),
    ...(told && { tell: told.fact }),
    ideas: facts.map((f) => ({ id: f.id, says: factLabel(f.fact) })),
    facts: [...s.byBowl].flatMap(([bowl, list]) => {
      const own = list.find((f) => f.id === chosen?.id)
      return own ? [{ bowl, fact: own.fact, ...(own.task && { task: own.task }) }] : []
    }),
    asks,
  }
}

function ideaOf(choice: StepChoice, s: TalkedStep, request: PlanRequest): StepFact | undefined {
  const facts = s.facts.filter((f) => f.fact.kind !== 'tell')
  const pinned = request.decisions.find((d) => d.kind === 'idea' && d.step === s.step.id)
  const held = facts.find((f) => pinned?.kind === 'idea' && f.id === pinned.idea)
  return held ?? (pinned ? undefined : facts[Math.max(0, choice.idea)])
}

const askOf = ({ prompt, target, child, why, touches }: Candidate, people: readonly DraftChild[]): Ask => ({
  child: people[child]?.id ?? null,
  target,
  ...(touches.length > 1 && { also: touches.filter((t) => t !== target) }),
  level: prompt.level,
  says: prompt.says,
  answer: prompt.answer,
  why,
})

/** A number above what the child counts to is shown, not asked. */
export function levelFor(fact: Fact, age: number, rule?: TalkRule): SupportLevel {
  const level = startLevel(age, rule)
  return largestNumber(fact) > countLimit(age) ? 'model' : level
}
