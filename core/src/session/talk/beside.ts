/** What stands once or twice in a session: greetings and words of home, one or two guesses, a story page by page, a sound or two. */
import { ratio, type Ratio } from '../../amount/ratio'
import { isByChildren } from '../../recipe/recipe'
import { aboutWork } from '../../learn/line/about'
import { doing } from '../../learn/line/doing'
import { foodWords } from '../../learn/line/grammar'
import { guessesOn, type Guess } from '../../learn/line/guesses'
import type { TalkLine } from '../../learn/line/line'
import { foodCardOf } from '../../learn/line/food-card'
import { soundLines } from '../../learn/line/sounds'
import { storyOf, storyPage, type Story } from '../../learn/line/stories'
import { phraseIn } from '../../learn/glossary'
import { languageName } from '../../learn/languages'
import type { StepTalk } from '../../plan/model/step-talk'
import type { StepTime } from '../../plan/model/task'
import { countLimit } from '../../craft/ages'
import { anyone, localeIn, type Hearing } from './hearing'

/** Guesses in a session. Source: design/talk.md 1. */
const GUESSES = 2
const SOUNDS = 2
/** Work whose outcome can be guessed and seen. */
const SEEN_AFTER = ['topic-knife', 'topic-mash', 'topic-mix']
/** The question that is one and the same as a sound line. */
const SOUND_ASKS: Readonly<Record<string, string>> = {
  'sound-clap': 'food-claps',
  'sound-rhyme': 'food-rhyme',
  'sound-first': 'food-first-sound',
}
function soundsOf(food: string): ReturnType<typeof soundLines> {
  const card = foodCardOf(food)
  return card ? soundLines(card) : []
}

/** A story is told to somebody of these ages. */
const STORY = { from: 24, to: 96 }

export class Beside {
  private readonly hearing: Hearing
  private readonly story: Story | undefined
  private readonly told = new Set<string>()
  private guesses = 0
  private sounds = 0
  private readonly sounded = new Set<string>()
  private begun = false
  constructor(hearing: Hearing) {
    this.hearing = hearing
    this.story = anyone(hearing.months, STORY) ? storyOf(hearing.plan.recipe.title) : undefined
  }

  /** Languages of this bowl, each with who speaks it, where that is known. */
  private languages(): Map<string, string[]> {
    const map = new Map<string, string[]>()
    for (const { child, languages } of this.hearing.speakers)
      if (this.hearing.crew.includes(child))
        for (const l of languages) map.set(l, [...(map.get(l) ?? []), child])
    if (map.size > 0 || this.hearing.speakers.length > 0) return map
    for (const t of this.hearing.plan.talk)
      for (const w of t.words) for (const h of w.home) if (!map.has(h.language)) map.set(h.language, [])
    return map
  }

  greetings(): TalkLine[] {
    return [...this.languages().keys()].flatMap((language): TalkLine[] => {
      const hello = phraseIn('hello', language, localeIn(this.hearing))
      if (!hello) return []
      return [
        {
          id: `home-hello-${language}`,
          kind: 'home',
          says: `Hello in ${languageName(language) ?? language}: all of us say it.`,
          home: { ...hello, english: 'hello' },
        },
      ]
    })
  }

  /** Named in the home language first; the child or the family is asked; all say it; then in English. */
  homeWord(time: StepTime, talk: StepTalk): TalkLine[] {
    const here = new Set(this.childrenOf(time.step))
    for (const [language, speakers] of this.languages()) {
      if (this.told.has(language) || (speakers.length > 0 && !speakers.some((s) => here.has(s)))) continue
      for (const word of talk.words) {
        const home = word.home.find((h) => h.language === language)
        if (!home) continue
        this.told.add(language)
        const name = languageName(language) ?? language
        return [
          {
            id: `home-word-${language}`,
            kind: 'home',
            says: `First in ${name}. Do you say it like that at home? All of us say it, and then in English: ${word.word}.`,
            home: { ...home, english: word.word },
          },
        ]
      }
    }
    return []
  }

  /** The story begins with the first step after the hands, and ends with the last. */
  page(time: StepTime): TalkLine[] {
    const { story } = this
    const { schedule } = this.hearing.plan
    if (!story || time === schedule[0]) return []
    if (time === schedule.at(-1)) return [{ id: `story-${story.id}`, kind: 'story', says: story.end }]
    const page = storyPage(story, doing(time.title), localeIn(this.hearing))
    if (!this.begun) {
      this.begun = true
      return [
        {
          id: `story-${story.id}`,
          kind: 'story',
          says: page === undefined ? story.start : `${story.start} ${page}`,
        },
      ]
    }
    return page === undefined ? [] : [{ id: `story-${story.id}`, kind: 'story', says: page }]
  }

  /** Something to guess as a step begins: a number that is counted then, what is inside; one before the waits. */
  guessBefore(time: StepTime, talk: StepTalk): TalkLine[] {
    if (this.guesses > 0) return []
    const number = this.numberToGuess(talk)
    if (number.length > 0) return this.take(number, time.step)
    const { plan } = this.hearing
    // What is sown is looked at for days: the guess is made as it is put away.
    if (plan.grows && plan.schedule.at(-1)?.step === time.step)
      return this.take(guessesOn('grows', {}, undefined, localeIn(this.hearing)), time.step)
    const seen = this.workIn(time.step).find((key) => SEEN_AFTER.includes(key))
    return seen === undefined
      ? []
      : this.take(guessesOn(seen, {}, undefined, localeIn(this.hearing)), time.step)
  }
  /** A count within what the eldest here counts to. */
  private numberToGuess(talk: StepTalk): Guess[] {
    const fact = (talk.facts ?? []).find((f) => f.bowl === this.hearing.bowl)?.fact
    const limit = countLimit(Math.max(0, ...this.hearing.months))
    const locale = localeIn(this.hearing)
    const fits = (n: number | undefined): n is number => n !== undefined && n >= 3 && n <= limit
    if (fact?.kind === 'scoop') {
      const n = scoopsIn(fact.target, fact.measure)
      return fits(n) ? guessesOn('scoop', foodWords(fact.food), n, locale) : []
    }
    if (fact?.kind !== 'count' || !fits(fact.n)) return []
    return guessesOn(fact.aloud ? 'aloud' : 'count', foodWords(fact.food), fact.n, locale)
  }
  private workIn(step: string): string[] {
    const { plan, bowl } = this.hearing
    return plan.tasks
      .filter((t) => t.step === step && t.bowl === bowl && isByChildren(t.mode))
      .flatMap((t) => aboutWork(t.technique))
  }
  /** What a wait will bring: looked at again when it is over. */
  guessOfWait(kind: string): TalkLine[] {
    return this.guesses >= GUESSES
      ? []
      : this.take(guessesOn(`wait-${kind}`, {}, undefined, localeIn(this.hearing)), kind)
  }
  private take(list: readonly Guess[], where: string): TalkLine[] {
    const guess = list.find((g) => anyone(this.hearing.months, g))
    if (!guess) return []
    this.guesses += 1
    const { id, says, options, truth, after } = guess
    return [
      {
        id: `guess-${id}`,
        kind: 'guess',
        says,
        guess: { id: `${id}:${where}`, options, after, ...(truth !== undefined && { truth }) },
      },
    ]
  }

  /** The sound of a food that comes in here. */
  sound(time: StepTime): TalkLine[] {
    if (this.sounds >= SOUNDS) return []
    const { plan, bowl, months } = this.hearing
    const uses = new Set(
      plan.tasks.filter((t) => t.step === time.step && t.bowl === bowl).flatMap((t) => t.uses),
    )
    const lines = plan.bowls.find((b) => b.id === bowl)?.lines.filter((l) => uses.has(l.id)) ?? []
    for (const l of lines)
      for (const row of soundsOf(l.food)) {
        if (!anyone(months, row) || this.sounded.has(row.id) || this.sounded.has(l.food)) continue
        if (plan.talk.some((t) => t.asks?.some((a) => a.line === SOUND_ASKS[row.id]))) continue
        this.sounds += 1
        this.sounded.add(row.id).add(l.food)
        return [{ id: row.id, kind: 'sound', says: row.says }]
      }
    return []
  }

  private childrenOf(step: string): string[] {
    const { plan, crew } = this.hearing
    const tasks = new Set(plan.tasks.filter((t) => t.step === step).map((t) => t.id))
    const doing = plan.turns.filter((t) => tasks.has(t.task)).map((t) => t.child)
    return doing.length > 0 ? doing.filter((c) => crew.includes(c)) : [...crew]
  }
}

/** Whole scoops of an amount; undefined where they do not come out. */
function scoopsIn(target: Ratio, measure: Ratio): number | undefined {
  const n = ratio(target).div(measure)
  return n.d === 1n ? Number(n.n) : undefined
}
