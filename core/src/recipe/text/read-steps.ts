/** The steps of a recipe: each text a step with its tasks, or words that belong to the one before. */
import type { RecipeLine, RecipeStep, RecipeTask } from '../recipe'
import { idFor } from './ids'
import { readStep } from './step'
import type { Answers, StepRead, Unread } from './understood'

const MOST = { steps: 40, tasks: 12, says: 300 }

/** A step that is too long for one card is parted between sentences. */
function parted(text: string): string[] {
  if (text.length <= MOST.says) return [text]
  const out: string[] = []
  for (const sentence of text.split(/(?<=[.!?])\s+/)) {
    const last = out.at(-1)
    if (last !== undefined && last.length + sentence.length + 1 <= MOST.says)
      out[out.length - 1] = `${last} ${sentence}`
    else out.push(sentence.slice(0, MOST.says))
  }
  return out
}

/** @param answers `again:STEP` says how often in all a step is done that the text does again */
export function readSteps(
  texts: readonly string[],
  answers: Answers,
): { steps: RecipeStep[]; texts: string[]; read: StepRead[]; unread: Unread[] } {
  const steps: RecipeStep[] = []
  const kept: string[] = []
  const read: StepRead[] = []
  const unread: Unread[] = []
  for (const text of texts.flatMap(parted)) {
    const { tasks, unread: open } = readStep(text)
    if (tasks.length === 0) {
      unread.push(...open.map((u) => ({ part: 'step' as const, text: u.text, why: u.why })))
      const last = steps.at(-1)
      // Words without an action belong to the step before; before the first they are a note.
      if (last && (last.says ?? '').length + text.length < MOST.says) last.says = `${last.says ?? ''} ${text}`
      read.push({ text, step: last?.id ?? null })
      continue
    }
    if (steps.length >= MOST.steps) {
      unread.push({ part: 'step', text, why: `is one step more than the ${MOST.steps} there may be` })
      read.push({ text, step: null })
      continue
    }
    const title = titleOf(text)
    const id = idFor(title, 'step', steps)
    const key = `again:${id}`
    const times = Number(answers[key] ?? 1)
    unread.push(
      ...open
        .filter((u) => !u.again || answers[key] === undefined)
        .map((u): Unread => ({
          part: 'step',
          text: u.text,
          why: u.why,
          ...(u.again && { key, kind: 'again', choices: ['1', '2', '3', '4'] }),
        })),
    )
    const all =
      Number.isInteger(times) && times >= 1 && times <= 6
        ? Array.from({ length: times }, () => tasks).flat()
        : tasks
    steps.push({
      id,
      title,
      picture: pictureOf(tasks),
      uses: [],
      tasks: all.slice(0, MOST.tasks),
      says: text,
    })
    kept.push(text)
    read.push({ text, step: id })
  }
  if (steps.length === 0) unread.push({ part: 'step', text: '', why: 'no step was found' })
  return { steps, texts: kept, read, unread }
}

/** Five words or fewer, from the head of the step. */
function titleOf(text: string): string {
  const words = text
    .replace(/[.,;:!?].*$/, '')
    .split(' ')
    .filter((w) => w !== '')
  const short = words.slice(0, 5)
  while (short.length > 2 && /^(the|a|an|and|of|in|into|to|with|for|until|or|on)$/i.test(short.at(-1) ?? ''))
    short.pop()
  const title = short.join(' ').slice(0, 60)
  return title.charAt(0).toUpperCase() + title.slice(1)
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
  tasks.map((t) => PICTURES[t.technique]).find((p) => p !== undefined) ?? 'bowl'

/** The first time a line goes in it is measured, in turns. */
export function measured(step: RecipeStep, lines: readonly RecipeLine[]): void {
  const own = lines.filter((l) => step.uses.some((u) => u.line === l.id))
  if (!own.some((l) => l.unit !== 'item')) return
  const at = step.tasks.find(
    (t) => (t.technique === 'pour-liquid' || t.technique === 'level-scoop') && t.mode === 'TURNS',
  )
  if (at) at.measures = true
}
