/** How a reading compares with what a person reads: by line, by technique, by food of a step. */
import { ratio } from '../../../src/amount/ratio'
import { unitWord, type System } from '../../../src/amount/unit-words'
import { convert } from '../../../src/amount/units'
import type { RecipeLine, RecipeStep, RecipeTask } from '../../../src/recipe/recipe'
import type { RecipeRead } from '../../../src/recipe/text/understood'
import type { Case, WantedLine, WantedWork } from './texts'

export type Verdict = 'exact' | 'asked' | 'unknown' | 'lost' | 'WRONG'
export interface Score {
  lines: { verdict: Verdict; says: string }[]
  techniques: { right: boolean; says: string }[]
  foods: { right: boolean; says: string }[]
  minutes: { right: boolean; says: string }[]
  degrees: { right: boolean; says: string }[]
  /** Lines and tasks that nobody asked for. */
  extra: string[]
  must: number
  title: boolean
  serves: boolean
}

/** Bare "sugar" is either. */
const same = (a: string, b: string): boolean =>
  a === b || (/^sugar-(granulated|caster)$/.test(a) && /^sugar-(granulated|caster)$/.test(b))
const foodFits = (line: RecipeLine, foods: readonly string[]): boolean =>
  foods.some((f) => (f.endsWith('*') ? line.food.startsWith(f.slice(0, -1)) : same(line.food, f)))

/** The wanted amount in the reader's unit. */
function amountFits(line: RecipeLine, want: WantedLine, system: System): boolean {
  const unit = unitWord(want.unit, system)
  const id = unit?.unit ?? want.unit
  const amount = ratio(want.amount).mul(unit?.times ?? 1)
  return (
    convert(amount, id, line.unit)?.equals(ratio(line.amount)) ??
    (line.unit === id && amount.equals(ratio(line.amount)))
  )
}

function verdictOf(line: RecipeLine, want: WantedLine, read: RecipeRead, system: System): Verdict {
  const open = read.questions.some(
    (q) =>
      (q.about.line === line.id && !q.key.startsWith('role:') && !q.key.startsWith('shape:')) ||
      read.lines.some((l) => l.line === line.id && l.key === q.key),
  )
  const eye = 'byEye' in line && line.byEye !== undefined
  const exact = foodFits(line, want.foods) && (want.sure === '?' || amountFits(line, want, system))
  if (exact && want.sure === '?') return eye || open ? 'exact' : 'WRONG'
  if (exact) return want.shape && !(line.shape ?? '').split('+').includes(want.shape) ? 'unknown' : 'exact'
  if (open && want.sure === '~') return 'exact'
  return open ? (line.food.startsWith('own:') ? 'unknown' : 'asked') : 'WRONG'
}

const said = (l: RecipeLine): string => `${l.amount} ${l.unit} ${l.food}`

function scoreLines(c: Case, read: RecipeRead): { lines: Score['lines']; extra: string[] } {
  const left = [...read.recipe.lines]
  const take = (test: (l: RecipeLine) => boolean): RecipeLine | undefined => {
    const at = left.findIndex(test)
    return at < 0 ? undefined : left.splice(at, 1)[0]
  }
  const found = new Map<WantedLine, RecipeLine>()
  const tests: ((w: WantedLine) => (l: RecipeLine) => boolean)[] = [
    (w) => (l) => foodFits(l, w.foods) && (w.sure === '?' || amountFits(l, w, c.system)),
    (w) => (l) => foodFits(l, w.foods),
    (w) => (l) => w.sure !== '?' && l.food.startsWith('own:') && amountFits(l, w, c.system),
    (w) => (l) => w.sure !== '?' && amountFits(l, w, c.system),
    (w) => (l) =>
      l.food.startsWith('own:') &&
      w.foods.some((f) => f.split('-').some((part) => part.length > 3 && l.food.includes(part))),
  ]
  for (const test of tests)
    for (const want of c.lines) {
      if (found.has(want)) continue
      const line = take(test(want))
      if (line) found.set(want, line)
    }
  const asked = read.questions.filter((q) => !q.about.line && !q.about.step).map((q) => q.text.toLowerCase())
  const lines = c.lines.map((want): { verdict: Verdict; says: string } => {
    const line = found.get(want)
    const says = `${want.sure}${want.amount} ${want.unit} ${want.foods.join('|')}${want.shape ? ` ${want.shape}` : ''}`
    if (line)
      return {
        verdict: verdictOf(line, want, read, c.system),
        says: `${says} <- ${said(line)}${line.shape ? ` ${line.shape}` : ''}`,
      }
    const words = want.foods.flatMap((f) => f.split('-')).filter((w) => w.length > 2)
    const open = asked.find((t) => words.some((w) => t.includes(w)))
    if (open) return { verdict: want.sure === '' ? 'asked' : 'exact', says: `${says} <- asked: ${open}` }
    return { verdict: 'lost', says }
  })
  return { lines, extra: left.map((l) => `line ${said(l)}`) }
}

interface At {
  step: RecipeStep
  task: RecipeTask
}
const isWait = (t: RecipeTask): boolean => t.mode === 'WAIT' && !t.technique.startsWith('use-')

function scoreWork(
  c: Case,
  read: RecipeRead,
): Pick<Score, 'techniques' | 'foods' | 'minutes' | 'degrees' | 'extra'> {
  const all: At[] = read.recipe.steps.flatMap((step) => step.tasks.map((task) => ({ step, task })))
  const free = new Set(all.filter((a) => !(a.task.mode === 'WAIT' && a.task.technique.startsWith('use-'))))
  const out: Omit<Score, 'lines' | 'must' | 'title' | 'serves'> = {
    techniques: [],
    foods: [],
    minutes: [],
    degrees: [],
    extra: [],
  }
  const foodOf = (id: string): string => read.recipe.lines.find((l) => l.id === id)?.food ?? ''
  /** What a put-in step made ready goes in here. */
  const before = (step: RecipeStep): RecipeStep[] =>
    read.recipe.steps
      .slice(0, read.recipe.steps.indexOf(step))
      .filter((x) => /-(?:ready|measured)(?:-\d+)?$/.test(x.id))
  let at = 0
  const fits = (a: At, w: WantedWork): boolean =>
    (w.techniques.includes('WAIT')
      ? isWait(a.task)
      : !isWait(a.task) && w.techniques.includes(a.task.technique)) &&
    (!w.adult || a.task.mode === 'ADULT')
  for (const w of c.work) {
    const says = `${w.techniques.join('|')}${w.adult ? '!' : ''}`
    const fitting = [...free].filter((a) => fits(a, w))
    // The one that takes the most of its foods, the next in order where several do.
    const ready = (a: At): RecipeStep[] => before(a.step).slice(-2)
    const shared = (a: At): number =>
      w.foods.filter((f) => [a.step, ...ready(a)].flatMap((x) => x.uses).some((u) => same(foodOf(u.line), f)))
        .length
    const best = fitting.sort(
      (a, b) =>
        shared(b) - shared(a) ||
        Number(all.indexOf(a) < at) - Number(all.indexOf(b) < at) ||
        all.indexOf(a) - all.indexOf(b),
    )[0]
    out.techniques.push({ right: best !== undefined, says })
    if (best) {
      free.delete(best)
      at = all.indexOf(best)
    }
    const wait =
      best &&
      (best.task.mode === 'WAIT'
        ? best.task
        : best.step.tasks
            .slice(best.step.tasks.indexOf(best.task))
            .find((t) => t.mode === 'WAIT' && t.technique === best.task.technique))
    if (w.minutes !== undefined) {
      const seconds = best
        ? (wait?.seconds ?? best.task.seconds * (best.task.mode === 'TURNS' ? (best.task.turns ?? 1) : 1))
        : 0
      out.minutes.push({
        right: seconds === w.minutes * 60,
        says: `${says} ${w.minutes}m <- ${seconds / 60}`,
      })
    }
    if (w.celsius !== undefined)
      out.degrees.push({
        right: wait?.celsius === w.celsius,
        says: `${says} ${w.celsius}C <- ${wait?.celsius ?? 'none'}`,
      })
    for (const f of w.foods)
      out.foods.push({
        right:
          best !== undefined &&
          [best.step, ...before(best.step)].some((st) => st.uses.some((u) => same(foodOf(u.line), f))),
        says: `${says}: ${f}`,
      })
  }
  out.extra = [...free]
    .filter((a) => !a.task.measures && !isPutIn(a))
    .map((a) => `task ${isWait(a.task) ? 'WAIT' : a.task.technique}`)
  return out
}
/** Tasks that Lea puts in by itself: measuring, preparation, cracking. */
const isPutIn = (a: At): boolean =>
  /-(?:ready|measured)(?:-\d+)?$/.test(a.step.id) ||
  ['crack-egg', 'wash-hands', 'wash-produce'].includes(a.task.technique)

const plainTitle = (t: string): string =>
  t
    .toLowerCase()
    .replace(/\([^)]*\)|[!:)]+|\u2714\ufe0e?/g, '')
    .trim()

export function scoreOf(c: Case, read: RecipeRead): Score {
  const { lines, extra } = scoreLines(c, read)
  const work = scoreWork(c, read)
  const serves = read.recipe.serves
  return {
    ...work,
    lines,
    extra: [...extra, ...work.extra],
    must: read.questions.filter((q) => q.must).length,
    title: c.title === '' || plainTitle(read.recipe.title) === plainTitle(c.title),
    serves: c.serves === null || serves === c.serves || read.recipe.pieces?.n === c.serves,
  }
}
