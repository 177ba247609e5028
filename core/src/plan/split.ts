/**
 * Pass 4, split: steps into tasks, bowl by bowl; each task in the form that each child can do; who may take part.
 *
 * Does little yet: the tasks are the recipe's own; a child who is not there yet, or who must not touch what the task
 * handles, is barred from it with the reason, and gets turns in other tasks. Neighbour jobs are named, not planned.
 */
import { ratio } from '../amount/ratio'
import { formFor, techniqueOf, type Technique } from '../craft/techniques'
import { allergenName } from '../food/allergens'
import { barsHandling, meet } from '../food/concerns'
import type { RecipeStep, RecipeTask } from '../recipe/recipe'
import type { Pass, Person, Portioned, Split } from './draft'
import { finding, nameToken, type Finding } from './finding'
import { rawKind } from './hygiene'
import type { Bowl, PlanLine, Task, TaskForm, WatchNote } from './plan'
import type { PlanRequest } from './request'

export const split: Pass<Portioned, Split> = (draft, request) => {
  const tasks = draft.bowls.flatMap((bowl, index) =>
    draft.recipe.steps.flatMap((step) => stepTasks(step, bowl, index, draft, request)),
  )
  const watch = [...draft.watch, ...hazardNotes(tasks), ...barredNotes(tasks)]
  return { draft: { ...draft, tasks, watch }, findings: hazardFindings(draft, tasks, request) }
}

function stepTasks(
  step: RecipeStep,
  bowl: Bowl,
  index: number,
  draft: Portioned,
  request: PlanRequest,
): Task[] {
  const handled = handledUpTo(step, bowl, draft)
  const used = bowl.lines.filter((l) => step.uses.some((u) => u.line === l.line))
  const washing = washFirst(step, draft)
  return [...washing, ...step.tasks].flatMap((task) => {
    const technique = techniqueOf(task.technique)
    if (!technique) return []
    const lines: (PlanLine | null)[] = task.measures ? used : [null]
    return lines.map((line) =>
      buildTask({ step, task, technique, bowl, index, line, handled, used }, draft, request),
    )
  })
}

/**
 * Hand-washing where hygiene asks for it and the recipe does not say it: before everyone eats, and after raw egg, meat or
 * fish. It takes its time on the clock like any other task. Source: CDC, NHS, FSA (h-when, h-egg-hands), from memory.
 */
function washFirst(step: RecipeStep, { recipe, lines, foods }: Portioned): RecipeTask[] {
  const has = (s: RecipeStep | undefined, technique: string): boolean =>
    s?.tasks.some((t) => t.technique === technique) ?? false
  if (has(step, 'wash-hands')) return []
  const before = recipe.steps[recipe.steps.indexOf(step) - 1]
  if (!before || has(before, 'wash-hands')) return []
  const raw = lines.some((l) => {
    const kind = rawKind(l, foods)
    return (kind === 'egg' || kind === 'meat') && before.uses.some((u) => u.line === l.line)
  })
  const eats = has(step, 'taste') && !has(before, 'taste')
  return raw || eats ? [{ technique: 'wash-hands', mode: 'EACH', seconds: 60, place: 'sink' }] : []
}

/** The foods that hands meet in a step: what goes in here, and all that went into the same bowl before. */
function handledUpTo(step: RecipeStep, bowl: Bowl, { recipe }: Portioned): string[] {
  const upTo = recipe.steps.slice(0, recipe.steps.indexOf(step) + 1)
  const lineIds = new Set(upTo.flatMap((s) => s.uses.map((u) => u.line)))
  return [...new Set(bowl.lines.filter((l) => lineIds.has(l.line)).map((l) => l.food))]
}

interface Parts {
  step: RecipeStep
  task: RecipeTask
  technique: Technique
  bowl: Bowl
  index: number
  line: PlanLine | null
  handled: string[]
  used: PlanLine[]
}

function buildTask(parts: Parts, draft: Portioned, request: PlanRequest): Task {
  const { step, task, technique, bowl, index, line, handled, used } = parts
  // Hands that only measure one food meet that food; all other hands meet the whole bowl.
  const handles = technique.id === 'wash-hands' ? [] : line ? [line.food] : handled
  const crew = bowl.children.flatMap((id) => draft.people.find((p) => p.id === id) ?? [])
  const { forms, barred } = partake(crew, technique, handles, draft, request)
  const able = forms.reduce((n, f) => n + f.children.length, 0)
  const byChildren = task.mode === 'EACH' || task.mode === 'TURNS'
  const mode = byChildren && able === 0 ? 'ADULT' : task.mode
  const adult = chooseAdult(technique, index, request)
  return {
    // One technique may stand in a step twice: the adult's or the waiting part of it carries its mode.
    id: [
      bowl.id,
      step.id,
      byChildren ? task.technique : `${task.technique}-${task.mode.toLowerCase()}`,
      line?.id,
    ]
      .filter(Boolean)
      .join('/'),
    step: step.id,
    bowl: bowl.id,
    technique: technique.id,
    name: technique.name,
    uses: line ? [line.id] : used.map((l) => l.id),
    handles,
    forms: byChildren && mode !== 'ADULT' ? forms : [],
    barred: byChildren ? barred : [],
    mode,
    n: mode === 'EACH' ? able : mode === 'TURNS' ? (task.turns ?? able) : 1,
    seconds: ovenSeconds(task, draft),
    place: task.place ?? 'table',
    ...(technique.hazard && task.mode !== 'WAIT' && { hazard: technique.hazard }),
    ...(adult && { adult }),
    ...(task.counts && { counts: task.counts }),
  }
}

/** In the oven it takes as long as all the oven loads together. */
const ovenSeconds = (task: RecipeTask, { making }: Portioned): number =>
  task.mode === 'WAIT' && task.place === 'oven' && making.oven
    ? Math.round(ratio(making.oven.minutes).mul(60).valueOf())
    : task.seconds

/** Each child's form, or the reason why it takes no part. Age, plan and allergy are hard filters, never preferences. */
function partake(
  crew: Person[],
  technique: Technique,
  handles: string[],
  draft: Portioned,
  request: PlanRequest,
) {
  const forms = new Map<string, TaskForm>()
  const barred: Task['barred'] = []
  for (const child of crew) {
    const touch = forbiddenTouch(child, handles, draft)
    const form = formFor(technique, child.age, request.rules.knives)
    if (touch) barred.push({ child: child.id, why: `does not touch ${touch}` })
    else if (form.kind !== 'do') barred.push({ child: child.id, why: `${technique.name}: ${form.why}` })
    else {
      const key = `${form.tool}/${form.code}/${form.perAdult}`
      const same = forms.get(key)
      if (same) same.children.push(child.id)
      else
        forms.set(key, {
          technique: technique.id,
          name: technique.name,
          tool: form.tool,
          children: [child.id],
          supervision: form.code,
          perAdult: form.perAdult,
        })
    }
  }
  return { forms: [...forms.values()], barred }
}

function forbiddenTouch(
  child: Person,
  handles: readonly string[],
  { foods, packets }: Portioned,
): string | null {
  for (const id of handles) {
    const food = foods.of(id)
    const concern = child.concerns.find((c) => barsHandling(meet(c.allergen, food, packets.get(id)), c))
    if (concern) return `${food.name} (${allergenName(concern.allergen)})`
  }
  return null
}

/** The adult for a bowl; heat and blades go to one who leads them. */
function chooseAdult(technique: Technique, bowlIndex: number, { adults }: PlanRequest): string | undefined {
  const wanted = technique.hazard === 'heat' ? 'heat' : technique.hazard === 'blade' ? 'knives' : null
  const own = adults[bowlIndex % Math.max(1, adults.length)]
  if (!wanted || own?.leads.includes(wanted)) return own?.id
  return adults.find((a) => a.leads.includes(wanted))?.id
}

const HAZARD_WORD = { heat: 'heat', blade: 'blades' } as const

function hazardNotes(tasks: readonly Task[]): WatchNote[] {
  const seen = new Set<string>()
  return tasks.flatMap((task) => {
    const key = `${task.bowl}/${task.step}/${task.hazard ?? ''}/${task.mode}`
    if (!task.hazard || seen.has(key)) return []
    seen.add(key)
    const who = task.adult ? nameToken(task.adult) : 'An adult'
    const says =
      task.mode === 'ADULT'
        ? `Adult only: ${who}.`
        : `${who} stands beside before the ${HAZARD_WORD[task.hazard]} come out.`
    return [
      {
        step: task.step,
        bowl: task.bowl,
        grade: 'adult' as const,
        says,
        source: techniqueOf(task.technique)?.source ?? '',
      },
    ]
  })
}

/** Who does not touch what, for the adult's eyes. */
function barredNotes(tasks: readonly Task[]): WatchNote[] {
  const notes = new Map<string, WatchNote>()
  for (const { step, bowl, barred } of tasks) {
    for (const { child, why } of barred.filter((b) => b.why.startsWith('does not touch'))) {
      notes.set(`${step}/${child}/${why}`, {
        step,
        bowl,
        grade: 'adult',
        says: `${nameToken(child)} ${why}.`,
        source: "the child's concern; the care plan comes first",
      })
    }
  }
  return [...notes.values()]
}

/** One finding for each step with heat or blades: who stands there. */
function hazardFindings(draft: Portioned, tasks: readonly Task[], request: PlanRequest): Finding[] {
  return draft.recipe.steps.flatMap((step) =>
    (['blade', 'heat'] as const).flatMap((hazard) => {
      const ones = tasks.filter((t) => t.step === step.id && t.hazard === hazard)
      if (ones.length === 0) return []
      const adults = [...new Set(ones.flatMap((t) => t.adult ?? []))]
      const lead = hazard === 'heat' ? 'heat' : 'knives'
      const covered =
        ones.every((t) => t.adult) &&
        adults.some((id) => request.adults.find((a) => a.id === id)?.leads.includes(lead))
      const technique = techniqueOf(ones[0]?.technique ?? '')
      return [
        finding({
          rule: hazard,
          pass: 'split',
          grade: covered ? 'adult' : 'stop',
          subject: { step: step.id },
          touches: [],
          says: covered
            ? `${step.title}: ${adults.map(nameToken).join(' and ')} ${ones.every((t) => t.mode === 'ADULT') ? (adults.length === 1 ? 'does this' : 'do this') : 'beside'}, nothing else meanwhile.`
            : `${step.title}: no adult here leads ${HAZARD_WORD[hazard]}.`,
          because:
            hazard === 'heat'
              ? 'Heat burns; the adult at heat does only that.'
              : 'Blades cut; an adult stands in reach.',
          source: `${technique?.source ?? 'common practice'}, from memory`,
          fixes: covered
            ? [{ label: 'Agreed', cost: 'asked again at the table', action: { do: 'stand' } }]
            : [
                { label: 'Choose another adult', cost: 'one who leads it', action: { do: 'add-adult' } },
                {
                  label: 'Go on, with a written reason',
                  cost: 'stays in the record',
                  action: { do: 'reason' },
                },
              ],
          restsOn: [adults, covered, ones.map((t) => t.id)],
        }),
      ]
    }),
  )
}
