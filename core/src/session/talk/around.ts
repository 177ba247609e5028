/** What is said to everybody: as they arrive, reading the recipe, as a step begins, and looking back. */
import { doing } from '../../learn/line/doing'
import { commentsOn } from '../../learn/line/comments'
import { foodWords } from '../../learn/line/grammar'
import type { TalkLine } from '../../learn/line/line'
import { LOOK_BACK_LINES, READ_LINES } from '../../learn/line/looking-back'
import { ALL_DONE, NOW_LAST, NOW_NEXT, STARTING, type RoutineRow } from '../../learn/line/routines'
import { sentence, type Locale, type Values } from '../../learn/fact/saying'
import type { LineKind } from '../../learn/line/line'
import type { StepTalk } from '../../plan/model/step-talk'
import type { StepTime } from '../../plan/model/task'
import type { Beside } from './beside'
import { anyone, localeIn, type Hearing } from './hearing'
import { SCALING, scalingLines } from './scaling'
import { asLine, askLine } from './turn-lines'

const rowLines = (
  { months }: Hearing,
  kind: LineKind,
  rows: readonly RoutineRow[],
  values: Values,
  locale: Locale,
): TalkLine[] =>
  rows.flatMap((r): TalkLine[] => {
    const says = anyone(months, r) ? sentence(r.says, values, locale) : undefined
    return says === undefined ? [] : [{ id: r.id, kind, says }]
  })

const titleOf = ({ plan }: Hearing): Values => ({ title: plan.recipe.title })

/** Greetings in the languages of the table, a welcome, the start of cooking. */
export function arriving(hearing: Hearing, beside: Beside): TalkLine[] {
  const locale = localeIn(hearing)
  const welcome = commentsOn('arrive', titleOf(hearing), locale).filter((c) => anyone(hearing.months, c))
  return [
    ...beside.greetings(),
    ...rowLines(hearing, 'routine', [STARTING], {}, locale),
    ...welcome.map(asLine),
  ]
}

/** The page is read together: what it is called, whom it feeds, the first line; and what is asked of it. */
export function reading(hearing: Hearing, talk: StepTalk): TalkLine[] {
  const first = hearing.plan.bowls.find((b) => b.id === hearing.bowl)?.lines[0]
  const words = first && foodWords(first.name)
  const values: Values = {
    title: hearing.plan.recipe.title,
    serves: String(hearing.plan.children.length),
    firstFood: first?.name,
    firstIt: words?.['it'],
  }
  return [
    ...rowLines(hearing, 'read', READ_LINES.slice(0, 1), values, localeIn(hearing)),
    ...(anyone(hearing.months, SCALING) ? scalingLines(hearing.plan) : []),
    ...(talk.asks ?? []).flatMap((a) =>
      a.task === undefined && a.why !== 'own' ? [{ ...askLine(a), who: a.child }] : [],
    ),
    ...rowLines(hearing, 'read', READ_LINES.slice(1), values, localeIn(hearing)),
  ]
}

/** The next page of the story, a guess, the home word, now and next, a sound: one of each at most. */
export function beginning(hearing: Hearing, time: StepTime, talk: StepTalk, beside: Beside): TalkLine[] {
  const locale = localeIn(hearing)
  const { schedule } = hearing.plan
  const next = schedule[schedule.indexOf(time) + 1]
  const now: Values = {
    nowDo: doing(time.title) ?? time.title.toLowerCase(),
    afterDo: next && (doing(next.title) ?? next.title.toLowerCase()),
  }
  const own = (talk.asks ?? []).filter((a) => a.child === null && a.why === 'own')
  return [
    ...own.map(askLine),
    ...beside.page(time),
    ...beside.homeWord(time, talk),
    ...beside.guessBefore(time, talk),
    ...rowLines(hearing, 'routine', next ? [NOW_NEXT] : [NOW_LAST], now, locale),
    ...beside.sound(time),
  ]
}

/** Looking back, and that all is done. */
export function finishing(hearing: Hearing): TalkLine[] {
  const locale = localeIn(hearing)
  return [
    ...rowLines(hearing, 'look-back', LOOK_BACK_LINES, titleOf(hearing), locale),
    ...commentsOn('back', {}, locale)
      .filter((c) => anyone(hearing.months, c))
      .map(asLine),
    ...commentsOn('tidy', {}, locale)
      .filter((c) => anyone(hearing.months, c))
      .map(asLine),
    ...rowLines(hearing, 'routine', [ALL_DONE], {}, locale),
  ]
}
