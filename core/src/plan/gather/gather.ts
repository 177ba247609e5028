/**
 * Pass 8, gather: the kit, what to do ahead, and what to buy in all.
 */
import { techniqueOf } from '../../craft/techniques'
import { preparationText } from '../../food/by-age/choking'
import type { Clocked, Gathered, Pass } from '../model/draft'
import { finding, nameToken, type Finding } from '../model/finding'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { shoppingOf } from './shopping'

export const gather: Pass<Clocked, Gathered> = (draft, request) => {
  const { rows, cost } = shoppingOf(draft, request)
  const turnCounts = draft.totals.perChild.map((p) => p.turns)
  return {
    draft: {
      ...draft,
      kit: kitOf(draft),
      ahead: aheadOf(draft),
      shopping: rows,
      cost,
      bounds: { leastTurns: Math.min(...turnCounts), mostTurns: Math.max(...turnCounts) },
    },
    findings: missingEquipment(draft, request),
  }
}

function kitOf(draft: Clocked): Plan['kit'] {
  const measures = draft.tasks.flatMap((t) =>
    t.measured?.by === 'scoop' ? t.measured.parts.map((p) => p.name) : [],
  )
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

function aheadOf(draft: Clocked): Plan['ahead'] {
  const ahead: Plan['ahead'] = []
  for (const b of draft.background)
    ahead.push({
      when: b.sitting === 1 ? b.at : `${b.at}, sitting ${b.sitting}`,
      says: `${b.says}, ${b.adult ? nameToken(b.adult) : 'an adult'}.`,
    })
  for (const line of draft.lines) {
    if (line.prep) ahead.push({ when: 'before', says: `${line.name}: ${line.prep}` })
    else if (line.shape) ahead.push({ when: 'before', says: `${line.name}: ${preparationText(line.shape)}` })
    if (line.method)
      ahead.push({ when: 'before', says: `instead of ${line.swappedFrom ?? line.name}: ${line.method}` })
  }
  ahead.push({ when: 'on the day', says: 'Two adults read every packet and sign.' })
  return ahead.filter((a, i) => ahead.findIndex((b) => b.says === a.says) === i)
}

const PLACE_WORDS = {
  oven: 'an oven',
  hob: 'a hob',
  fire: 'a place for a fire',
  fridge: 'a fridge',
  freezer: 'a freezer',
} as const

function missingEquipment(draft: Clocked, { kit }: PlanRequest): Finding[] {
  const places = new Set(draft.tasks.map((t) => t.place))
  return (['oven', 'hob', 'fire', 'fridge', 'freezer'] as const).flatMap((place) => {
    if (!places.has(place) || kit.equipment.includes(place)) return []
    return [
      finding({
        rule: 'equipment',
        pass: 'gather',
        grade: 'stop',
        subject: { tool: place },
        touches: [],
        says: `This recipe needs ${PLACE_WORDS[place]}, and this setting has none.`,
        because: 'The kit of this setting does not list it.',
        source: 'the Cupboard',
        fixes: [
          { label: 'Go on, with a written reason', cost: 'stays in the record', action: { do: 'reason' } },
        ],
        dependsOn: [place, kit.equipment],
      }),
    ]
  })
}
