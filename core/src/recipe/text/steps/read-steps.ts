/**
 * The steps of a recipe: every sentence that has foods or a place of its own is a step with its tasks; words without an action belong to the
 * step before.
 */
import { placeNamed } from '../../heat-places'
import type { RecipeLine, RecipeStep, RecipeTask, StepWay } from '../../recipe'
import { asksWhetherThere, lackIn, needsThing, partedAtOr } from '../kinds/ways-in-text'
import { idFor } from '../ids'
import type { Answers, StepRead, Unread } from '../understood'
import { contentKey } from '../keys'
import { sentencesOf } from './sentences'
import { readStep, type Reading } from './step'
import { isNight, secondsIn } from './times'
import { titleOf } from './title'
import { linesNamed, type NamedLines, type StepText } from './uses'

const MOST = { steps: 40, tasks: 12, says: 300 }

interface Piece {
  text: string
  part?: string
  tasks: RecipeTask[]
  lines: RecipeLine[]
  open: ReturnType<typeof readStep>['unread']
  /** What it is done instead of, where a room lacks something. */
  other?: { lacks: string; says: string }
  /** Ways of it that later sentences say, with those sentences. */
  ways?: { text: string; way: StepWay }[]
}

/** The sentences of one text, put together where they are one step. */
function piecesOf(
  { text, part }: StepText,
  named: NamedLines,
  reading: Reading,
  answers: Answers,
  apart: boolean,
): Piece[] {
  const out: Piece[] = []
  for (const sentence of whole(sentencesOf(text)).flatMap(partedAtOr).flatMap(short)) {
    const other = lackIn(sentence)
    const instead = other && readStep(other.says, { ...reading })
    if (other && instead && instead.tasks.length > 0 && instead.unread.every((u) => !u.must)) {
      out.push({ text: sentence, tasks: instead.tasks, lines: [], open: [], other })
      continue
    }
    const { tasks, unread } = settled(sentence, readStep(sentence, reading), answers, reading)
    const lines = linesNamed(sentence, named, part)
    const last = out.findLast((p) => p.other === undefined)
    const piece = { text: sentence, tasks, lines, open: unread, ...(part !== undefined && { part }) }
    if (
      last &&
      !(apart && isOwn(last, piece)) &&
      last.text.length + sentence.length < MOST.says &&
      last.tasks.length + tasks.length <= MOST.tasks
    ) {
      last.text = `${last.text} ${sentence}`
      last.tasks.push(...tasks)
      last.lines.push(...lines)
      last.open.push(...unread)
      continue
    }
    out.push(piece)
  }
  return out
}
/** "No oven?" and what is then done are one. */
const whole = (sentences: readonly string[]): string[] =>
  sentences.reduce<string[]>((out, s) => {
    const last = out.at(-1)
    return last !== undefined && asksWhetherThere(last) ? [...out.slice(0, -1), `${last} ${s}`] : [...out, s]
  }, [])

/** Ways go to the step before that needs what is lacking; where none does they are steps like any. */
function withWays(pieces: readonly Piece[]): Piece[] {
  const out: Piece[] = []
  for (const piece of pieces) {
    const { other } = piece
    const of = other && out.findLast((p) => p.tasks.length > 0 && needsThing(other.lacks, p.text, p.tasks))
    if (!of) out.push(piece)
    else
      of.ways = [
        ...(of.ways ?? []).filter((w) => w.way.lacks !== other.lacks),
        {
          text: piece.text,
          way: {
            lacks: other.lacks,
            says: other.says.slice(0, MOST.says),
            tasks: piece.tasks.slice(0, MOST.tasks),
          },
        },
      ]
  }
  return out
}

/** What somebody said of a sentence that was not read: an adult does it, it is only said, or it in other words. */
function settled(
  sentence: string,
  found: ReturnType<typeof readStep>,
  answers: Answers,
  reading: Reading,
): ReturnType<typeof readStep> {
  const answer = found.unread.some((u) => u.must) ? answers[contentKey('sentence', sentence)] : undefined
  if (answer === undefined) return found
  if (answer === ONLY_SAID) return { tasks: found.tasks, unread: [] }
  if (answer !== BY_ADULT) return { ...readStep(answer, reading), unread: [] }
  const place = placeNamed(sentence)
  const task: RecipeTask = {
    technique:
      place?.technique ??
      (/\b(?:kni[fv]|blade|cut|chop|slic|grat|peel)/i.test(sentence) ? 'claw-cut' : 'carry-hot'),
    mode: 'ADULT',
    seconds: Math.min(1800, secondsIn(sentence) ?? 120),
    ...(place && { place: place.id }),
  }
  return { tasks: [...found.tasks, task], unread: [] }
}
/** Answers to a sentence that was not read. */
export const BY_ADULT = 'adult'
export const ONLY_SAID = 'said'
const short = (sentence: string): string[] =>
  sentence.length < MOST.says
    ? [sentence]
    : (sentence.match(/.{1,280}(?:[,;\s]|$)/gu) ?? [sentence.slice(0, 280)])

const ADDS = new Set(['level-scoop', 'pour-liquid', 'pour-dry', 'stir', 'whisk'])

/** It has foods of its own, or a place where it waits or gets hot. */
function isOwn(last: Piece, next: Piece): boolean {
  if (last.tasks.length === 0 || next.tasks.length === 0) return false
  const away = (p: Piece): boolean => p.tasks.some((t) => t.mode === 'WAIT')
  // "Add the stock. Simmer for 10 minutes.": what goes in and its heat are one.
  const heatOfIt = next.lines.length === 0 && next.tasks.every((t) => t.place === 'hob')
  if (heatOfIt && !away(last) && last.tasks.length <= 2 && last.tasks.every((t) => ADDS.has(t.technique)))
    return false
  return (
    away(last) ||
    away(next) ||
    next.lines.some((l) => !last.lines.includes(l)) ||
    last.tasks.length + next.tasks.length > 4
  )
}

/** @param answers `again:STEP` says how often in all a step is done that the text does again */
export function readSteps(
  texts: readonly StepText[],
  answers: Answers,
  named: NamedLines,
  us: boolean,
): { steps: RecipeStep[]; texts: StepText[]; read: StepRead[]; unread: Unread[] } {
  const read = (apart: boolean): Piece[] => {
    const reading: Reading = { us, oven: null, hot: false }
    return withWays(texts.flatMap((t) => piecesOf(t, named, reading, answers, apart)))
  }
  const fine = read(true)
  return stepsOf(fine.filter((p) => p.tasks.length > 0).length > MOST.steps ? read(false) : fine, answers)
}

function stepsOf(pieces: readonly Piece[], answers: Answers): ReturnType<typeof readSteps> {
  const steps: RecipeStep[] = []
  const kept: StepText[] = []
  const read: StepRead[] = []
  const unread: Unread[] = []
  let before = ''
  let night = false
  for (const { text, part, tasks, open, ways } of pieces) {
    if (tasks.length === 0) {
      unread.push(...open.map(openOf(answers)).filter((u) => u !== null))
      const last = steps.at(-1)
      // Words without an action belong to the step before; before the first to the first.
      if (last && (last.says ?? '').length + text.length < MOST.says) last.says = `${last.says ?? ''} ${text}`
      else if (!last && before.length + text.length < 200) before = `${before} ${text}`.trim()
      read.push({ text, step: last?.id ?? null })
      continue
    }
    if (steps.length >= MOST.steps) {
      unread.push({ part: 'step', text, why: `is one step more than the ${MOST.steps} there may be` })
      read.push({ text, step: null })
      continue
    }
    const title = titleOf(text) || 'Next'
    const id = idFor(title, 'step', steps)
    const key = `again:${id}`
    const times = Number(answers[key] ?? 1)
    unread.push(
      ...open.flatMap((u): Unread[] =>
        u.again
          ? answers[key] === undefined
            ? [{ part: 'step', text: u.text, why: u.why, key, kind: 'again', choices: ['1', '2', '3', '4'] }]
            : []
          : [openOf(answers)(u)].filter((x) => x !== null),
      ),
    )
    const all =
      Number.isInteger(times) && times >= 1 && times <= 6
        ? Array.from({ length: times }, () => tasks).flat()
        : tasks
    const says = `${steps.length === 0 && before !== '' ? `${before} ` : ''}${text}`
    steps.push({
      id,
      title,
      picture: pictureOf(tasks),
      uses: [],
      tasks: all.slice(0, MOST.tasks),
      says: says.length <= MOST.says ? says : text.slice(0, MOST.says),
      ...(all.filter((t) => t.mode === 'STATION').length > 1 && { stay: true }),
      // What waits over a night goes on at a later sitting.
      ...(night && { nextSitting: true }),
      ...(ways && { ways: ways.map((w) => w.way) }),
    })
    night = waitsLong(tasks, text)
    kept.push({ text, ...(part !== undefined && { part }) })
    read.push({ text, step: id }, ...(ways ?? []).map((w) => ({ text: w.text, step: id })))
  }
  // What was before the first step and is now in it was read.
  for (const r of read) if (r.step === null && steps[0]?.says?.startsWith(r.text)) r.step = steps[0].id
  if (steps.length === 0) unread.push({ part: 'step', text: '', why: 'no step was found' })
  return { steps, texts: kept, read, unread }
}

/** Longer than any session: the rest is done at another sitting. */
const waitsLong = (tasks: readonly RecipeTask[], text: string): boolean =>
  tasks.some(
    (t) => t.mode === 'WAIT' && (t.seconds >= 4 * 3600 || (isNight(text) && !t.technique.startsWith('use-'))),
  )

/** A sentence in which nothing was read: to be answered where it speaks of heat, a blade, a time or an adult; else only said. */
const openOf =
  (answers: Answers) =>
  (u: { text: string; why: string; must?: true }): Unread | null => {
    if (!u.must) return { part: 'step', text: u.text, why: u.why }
    const key = contentKey('sentence', u.text)
    return answers[key] === undefined
      ? { part: 'step', text: u.text, why: u.why, key, kind: 'sentence' }
      : null
  }

const PICTURES: Record<string, string> = {
  'wash-hands': 'soap',
  'use-oven': 'oven',
  'use-hob': 'pot',
  taste: 'yum',
  'brush-glaze': 'brush',
  'cut-cutter': 'cutter',
  knead: 'dough',
  shape: 'dough',
  'pour-liquid': 'jug',
  'fill-cases': 'jar',
}
const pictureOf = (tasks: readonly RecipeTask[]): string =>
  tasks
    .map((t) => (t.mode === 'WAIT' && t.place === 'fridge' ? 'fridge' : PICTURES[t.technique]))
    .find((p) => p !== undefined) ?? 'bowl'
