/**
 * Pass 9, talk: for each step one maths idea, two words, and who is asked what; chosen over the whole session (choose.ts).
 *
 * At the table it goes on from there, turn by turn (session/say.ts): whoever is not asked here hears a comment.
 */
import { countLimit } from '../../craft/ages'
import { factLabel } from '../../learn/fact-words'
import { commentsToAQuestion, type SupportLevel, type TalkRule } from '../../learn/levels'
import { Glossary } from '../../learn/glossary'
import { chooseWords, pairOf, type WordStep } from '../../learn/step-words'
import { isByChildren, type RecipeStep } from '../../recipe/recipe'
import type { Gathered, Pass, DraftChild, Talked } from '../model/draft'
import type { PlanRequest } from '../model/request'
import { chooseTalk } from './choose'
import {
  candidates,
  FIRST_MONTHS,
  TalkHistory,
  Sayings,
  targetNumbers,
  type Candidate,
  type FactSayings,
} from './options'
import { foodsBy, waitKind } from './facts/wait-kind'
import { recentLines } from './recent-lines'
import type { StepChoice, TalkProblem, TalkStep } from './problem'
import { isTell, type StepFact, type TalkedStep } from './facts/step-fact'
import { factsOf } from './facts/step-facts'
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
  const wordSteps = steps.map(({ step }) => wordStepOf(step, draft))
  const words = chooseWords(
    wordSteps,
    glossary,
    steps.map((s) => s.here.map((p) => p.age)),
    request.rules.targets ?? [],
  )
  const languages = [...new Set(draft.people.flatMap((p) => p.languages))]
  const list = steps.map((s, i): StepTalk => {
    const spoken = stepTalk(s, choice[i], draft.people, request)
    const pair = pairOf(wordSteps[i] ?? { techniques: [], foods: [] }, glossary)
    return {
      ...spoken,
      // Both words of a pair stand in it: neither stands twice.
      words: (words[i] ?? []).filter((id) => !pair.includes(id)).map((id) => glossary.word(id, languages)),
      ...(pair.length > 0 && { pair: pair.map((id) => glossary.word(id, languages)) }),
    }
  })
  return {
    draft: { ...draft, talk: list, uncovered: uncoveredOf(steps, problem, list, draft.people, heard) },
    findings: [],
  }
}

/** What the words of a step go by: where nothing is done but waiting or an adult's work at heat, by what the wait is. */
function wordStepOf(step: RecipeStep, draft: Gathered): WordStep {
  const byChildren = step.tasks.filter((t) => isByChildren(t.mode))
  const wait =
    step.tasks.find((t) => t.mode === 'WAIT') ?? step.tasks.find((t) => t.place && HOT.has(t.place))
  return {
    techniques: (byChildren.length > 0 ? byChildren : step.tasks).map((t) => t.technique),
    foods: step.uses.flatMap((u) => draft.lines.filter((l) => l.line === u.line).map((l) => l.food)),
    ...(byChildren.length === 0 &&
      wait && {
        wait: waitKind({ technique: wait.technique, place: wait.place ?? 'table' }, foodsBy(draft, step)),
      }),
  }
}
const HOT: ReadonlySet<string> = new Set(['oven', 'hob', 'fire'])

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
      ? [
          {
            child: d.child,
            target: '',
            level: 'open',
            says: d.says,
            answer: d.answer,
            why: 'own',
            ...(d.line && { kind: d.line }),
          },
        ]
      : [],
  )
  return { step, facts: [...byBowl.values()][0] ?? [], byBowl, here, own }
}

/** From here on a question stands beside each comment: months. */
const ASKED_MORE = 84
/** Questions in a session: enough that everybody is asked, and one a step; more for the older, and more or fewer where the setting says so. */
function mostAsks(
  steps: readonly TalkedStep[],
  asked: readonly DraftChild[],
  rule: TalkRule | undefined,
): number {
  const withChildren = steps.filter((s) => s.here.length > 0).length
  const old = asked.length > 0 && asked.every((p) => p.age >= ASKED_MORE)
  const share = (rule === 'ask' ? 1.5 : rule === 'comment' ? 0.5 : 1) * (old ? 1.5 : 1)
  const each = rule === 'ask' ? 1.25 : 1
  return Math.max(Math.ceil(asked.length * each), Math.ceil(withChildren * share))
}

/** Questions to one child at most: the comments that it hears bear so many. */
function mostFor(p: DraftChild, draft: Gathered, rule: TalkRule | undefined): number {
  const heard = draft.turns.filter((t) => t.child === p.id).length + draft.recipe.steps.length
  return Math.max(1, Math.floor(heard / (1 + commentsToAQuestion(p.age, rule))))
}
/** At most so many questions about what comes before and after. Source: design/talk.md 5 (common practice). */
const MOST_ORDER = 2

function problemOf(
  steps: readonly TalkedStep[],
  draft: Gathered,
  request: PlanRequest,
  sayings: Sayings,
  heard: ReadonlyMap<string, TalkHistory>,
): TalkProblem {
  const { decisions, rules } = request
  const week = rules.targets ?? []
  const weekly = targetNumbers(week)
  const notSaid = new Set(decisions.flatMap((d) => (d.kind === 'line' && d.use === 'not' ? [d.line] : [])))
  const asked = draft.people.filter((p) => steps.some((s) => s.here.includes(p)))
  const most = mostAsks(steps, asked, rules.talk)
  const recent = recentLines(draft.people, request.session.date)
  const a = Math.max(1, Math.ceil(most / Math.max(1, steps.filter((s) => s.here.length > 0).length)))
  const taking = takingPart(draft)
  const options = (
    here: readonly DraftChild[],
    factFor: (p: DraftChild) => StepFact | undefined,
    dear = 0,
  ): Candidate[] =>
    here.flatMap((p) => {
      const found = factFor(p)
      const known = heard.get(p.id)
      // What is in another's hand is not in view: it is asked in one's own turn.
      if (!found || !known || (found.task !== undefined && taking.get(found.task)?.has(p.id) === false))
        return []
      const { fact, task } = found
      const said = sayings.of(fact)
      const top: SupportLevel = said.largest > countLimit(p.age) ? 'choice' : 'open'
      const child = { index: draft.people.indexOf(p), months: p.age, heard: known }
      const about = 'food' in fact ? fact.food : ''
      const all = notSaid.size === 0 ? said.all : said.all.filter((x) => !notSaid.has(x.prompt.line))
      return candidates(all, child, { most: top, week: weekly, recent, about, task, dear })
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
    const facts = s.facts.filter((f) => !isTell(f))
    const open = facts.some((f) => f.id === pinned) ? facts.filter((f) => f.id === pinned) : facts
    const factIn = (id: string) => (p: DraftChild) => s.byBowl.get(bowlOf(p))?.find((f) => f.id === id)
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
      tell: s.facts.filter(isTell).flatMap((f) => options(s.here, factIn(f.id), TELL_COST)),
      most: quiet ? 0 : Math.max(a - s.own.length, must.length),
      must,
    }
  })
  return {
    children: draft.people.map((p) => ({
      heard: meanOf(p.talk?.heard ?? []),
      most: Math.max(
        mostFor(p, draft, rules.talk),
        decisions.filter((d) => d.kind === 'ask' && d.child === p.id).length,
      ),
    })),
    mostOrder: MOST_ORDER,
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
/** Who has a turn of each task that has turns: whoever has none does not hold what it is about. */
function takingPart(draft: Gathered): ReadonlyMap<string, ReadonlySet<string>> {
  const map = new Map<string, Set<string>>()
  for (const t of draft.turns) map.set(t.task, (map.get(t.task) ?? new Set()).add(t.child))
  return map
}
/** What comes before and after can be said of every step: rather something of its own. */
const ORDER_COST = 16
/** Twelfths of a question in each of its last sessions. */
const meanOf = (heard: readonly number[]): number =>
  heard.length === 0 ? 0 : Math.round((12 * heard.reduce((a, b) => a + b, 0)) / heard.length)

function stepTalk(
  s: TalkedStep,
  choice: StepChoice | undefined,
  people: readonly DraftChild[],
  request: PlanRequest,
): StepTalk {
  const facts = s.facts.filter((f) => !isTell(f))
  const chosen = (choice && ideaOf(choice, s, request)) ?? s.facts.find(isTell) ?? s.facts[0]
  const asks = [...s.own, ...(choice?.asks ?? []).map((o) => askOf(o as Candidate, people))]
  const first = asks.find((a) => a.child !== null)
  return {
    step: s.step.id,
    fact: chosen?.fact ?? null,
    child: first?.child ?? null,
    words: [],
    ...(chosen && { idea: chosen.id }),
    ideas: facts.map((f) => ({ id: f.id, says: factLabel(f.fact) })),
    facts: [...s.byBowl].flatMap(([bowl, list]) => {
      const own = list.find((f) => f.id === chosen?.id)
      return own ? [{ bowl, fact: own.fact, ...(own.task && { task: own.task }) }] : []
    }),
    beside: [...s.byBowl].flatMap(([bowl, list]) =>
      list
        .filter((f) => SPOKEN_OF.has(f.fact.kind))
        .map(({ fact, task }) => ({ bowl, fact, ...(task && { task }) })),
    ),
    asks,
  }
}
/** Facts of which comments speak; scoops are taken from the task as it stands. */
const SPOKEN_OF = new Set([
  'cut',
  'layers',
  'layer',
  'share',
  'tin',
  'shape',
  'mirror',
  'tastes',
  'compare',
  'timer',
  'count',
  'scale',
])

function ideaOf(choice: StepChoice, s: TalkedStep, request: PlanRequest): StepFact | undefined {
  const facts = s.facts.filter((f) => !isTell(f))
  const pinned = request.decisions.find((d) => d.kind === 'idea' && d.step === s.step.id)
  const held = facts.find((f) => pinned?.kind === 'idea' && f.id === pinned.idea)
  return held ?? (pinned ? undefined : facts[Math.max(0, choice.idea)])
}

const askOf = (
  { prompt, target, child, why, touches, task, says, all }: Candidate,
  people: readonly DraftChild[],
): Ask => ({
  child: people[child]?.id ?? null,
  target,
  ...(touches.length > 1 && { also: touches.filter((t) => t !== target) }),
  level: prompt.level,
  says: prompt.says,
  answer: prompt.answer,
  why,
  line: prompt.line,
  key: says,
  rungs: rungsAt(all, prompt.line, people[child]?.age ?? 0),
  ...(task !== undefined && { task }),
})

/** The same question from the easiest rung to the open one, as far as the age reaches. */
const rungsAt = (all: readonly FactSayings[], line: string, months: number): Ask['rungs'] & object =>
  all
    .filter((x) => x.prompt.line === line && x.prompt.fromMonths <= months && months <= x.prompt.toMonths)
    .map(({ prompt: { level, says } }) => ({ level, says }))
