/**
 * Pass 9, gather: the kit, what to do ahead, and what to buy in all.
 *
 * Does little yet: no packs and no prices; amounts of one food in one unit are added up over the bowls.
 */
import { amountText } from '../amount/show'
import { ratio, toText } from '../amount/ratio'
import { foodName } from '../food/foods'
import { techniqueOf } from '../craft/techniques'
import { PREPARATIONS } from '../food/choking'
import { clockAfter } from '../learn/facts'
import { PREHEAT_MINUTES } from './clock'
import type { Gathered, Pass, Talked } from './draft'
import { finding, type Finding } from './finding'
import type { Plan } from './plan'
import type { PlanRequest } from './request'

export const gather: Pass<Talked, Gathered> = (draft, request) => {
  const turnCounts = draft.totals.perChild.map((p) => p.turns)
  return {
    draft: {
      ...draft,
      kit: kitOf(draft),
      ahead: aheadOf(draft),
      shopping: shoppingOf(draft),
      bounds: { leastTurns: Math.min(...turnCounts), mostTurns: Math.max(...turnCounts) },
    },
    findings: missingEquipment(draft, request),
  }
}

function kitOf(draft: Talked): Plan['kit'] {
  const measures = draft.tasks.flatMap((t) => (t.measured?.by === 'scoop' ? [t.measured.measureName] : []))
  const scale = draft.tasks.some((t) => t.measured?.by === 'weight') ? ['scale'] : []
  const tools = draft.tasks.flatMap((t) =>
    t.forms.flatMap((f) =>
      f.tool === '' ? [] : [`${techniqueOf(t.technique)?.name ?? t.technique}: ${f.tool}`],
    ),
  )
  return {
    measures: [...new Set([...measures, ...scale])],
    tools: [...new Set(tools)].sort(),
    equipment: draft.recipe.equipment,
  }
}

function aheadOf(draft: Talked): Plan['ahead'] {
  const ahead: Plan['ahead'] = []
  const oven = draft.schedule.find((s) => s.place === 'oven' || stepUsesOven(s.step, draft))
  if (oven) {
    ahead.push({ when: clockAfter(oven.at, 24 * 60 - PREHEAT_MINUTES), says: 'Oven on, an adult.' })
  }
  for (const line of draft.lines) {
    if (line.prep) ahead.push({ when: 'before', says: `${line.name}: ${line.prep}` })
    else if (line.shape)
      ahead.push({ when: 'before', says: `${line.name}: ${PREPARATIONS[line.shape] ?? line.shape}` })
    if (line.method)
      ahead.push({ when: 'before', says: `instead of ${line.swappedFrom ?? line.name}: ${line.method}` })
  }
  ahead.push({ when: 'on the day', says: 'Two adults read every packet and sign.' })
  return ahead.filter((a, i) => ahead.findIndex((b) => b.says === a.says) === i)
}

const stepUsesOven = (step: string, draft: Talked): boolean =>
  draft.tasks.some((t) => t.step === step && t.place === 'oven')

function shoppingOf(draft: Talked): Plan['shopping'] {
  const sums = new Map<string, { food: string; unit: string; sum: ReturnType<typeof ratio> }>()
  for (const bowl of draft.bowls) {
    for (const line of bowl.lines) {
      const key = `${line.food}/${line.unit}`
      const sum = sums.get(key)?.sum ?? ratio(0)
      sums.set(key, { food: line.food, unit: line.unit, sum: sum.add(line.amount) })
    }
  }
  return [...sums.values()].map(({ food, unit, sum }) => {
    const amount = unit === 'item' ? sum.ceil() : sum
    const name = foodName(draft.foods.of(food), unit === 'item' && amount.compare(1) > 0)
    return { food, name, amount: toText(amount), unit, text: amountText(amount, unit) }
  })
}

function missingEquipment(draft: Talked, { kit }: PlanRequest): Finding[] {
  const places = new Set(draft.tasks.map((t) => t.place))
  return (['oven', 'hob', 'fridge', 'freezer'] as const).flatMap((place) => {
    if (!places.has(place) || kit.equipment.includes(place)) return []
    return [
      finding({
        rule: 'equipment',
        pass: 'gather',
        grade: 'stop',
        subject: { tool: place },
        touches: [],
        says: `This recipe needs ${place === 'oven' ? 'an' : 'a'} ${place}, and the room has none.`,
        because: 'The kit of this setting does not list it.',
        source: 'the Cupboard',
        fixes: [
          { label: 'Go on, with a written reason', cost: 'stays in the record', action: { do: 'reason' } },
        ],
        restsOn: [place, kit.equipment],
      }),
    ]
  })
}
