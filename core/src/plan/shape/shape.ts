/**
 * Pass 2, shape: choking shapes and too-early foods for the youngest who may eat, sharp and small things, raw flour, egg and
 * meat, chilli, heat, the hygiene and cross-contact plan, adult numbers. Swapped-in foods are judged like the others;
 * prepared shapes are taken from the recipe's words, not guessed.
 */
import { countText } from '../../amount/show'
import { adultsNeeded, ratioSource } from '../../craft/ratios'
import { ageText } from '../../craft/ages'
import { isUnknown } from '../../food/foods'
import { advise } from '../../recipe/advice/advice'
import { isHot } from '../../recipe/recipe'
import { ageFindings } from './age-findings'
import { hygieneOf } from './hygiene'
import { oilFindings, rawFindings, rawNotes } from './raw-findings'
import { rawFirstFindings } from './raw-first'
import { choiceFindings, choiceNotes, choicesOf, withAgeOffers } from './free-choice'
import { tastingNotes } from './tasting-notes'
import { sceneNotes, variantNotes } from './ways-by-age'
import type { Adapted, Pass, Shaped } from '../model/draft'
import { finding, nameToken, type Finding } from '../model/finding'
import { WORK, type WatchNote } from '../model/plan'
import { askedChoices } from '../model/choice'
import type { PlanRequest } from '../model/request'

export const shape: Pass<Adapted, Shaped> = (draft, request) => {
  const byAge = withAgeOffers(draft, ageFindings(draft, request))
  const choices = choicesOf(draft, byAge.offers, request)
  return {
    draft: {
      ...draft,
      choices,
      watch: [
        ...rawNotes(draft, request),
        ...heatNotes(draft),
        ...choiceNotes(askedChoices(choices)),
        ...variantNotes(draft),
        ...sceneNotes(draft),
        ...tastingNotes(draft),
      ],
      hygiene: hygieneOf(draft, request),
    },
    findings: [
      ...byAge.findings,
      ...choiceFindings(choices),
      ...rawFindings(draft, request),
      ...oilFindings(draft),
      ...rawFirstFindings(draft),
      ...objectFindings(draft),
      ...sugarFindings(draft),
      ...ratioFindings(draft, request),
    ],
  }
}

/** Chilli near eyes, and what comes hot from the hob or the oven to children. */
function heatNotes({ recipe, lines, foods }: Adapted): WatchNote[] {
  const notes: WatchNote[] = []
  let hot = false
  for (const step of recipe.steps) {
    const used = lines.filter((l) => step.uses.some((u) => u.line === l.line))
    const stings = used.some((l) => {
      const food = foods.of(l.food)
      return !isUnknown(food) && food.stings === true
    })
    if (stings)
      notes.push({
        step: step.id,
        grade: 'adult',
        about: WORK,
        says: 'Chilli: an adult only. Soap at once; hands stay away from eyes.',
        source: 'common practice',
      })
    if (hot && step.tasks.some((t) => t.technique === 'taste' || t.technique === 'serve-self')) {
      notes.push({
        step: step.id,
        grade: 'know',
        about: WORK,
        says: 'Lukewarm before it reaches a child: an adult tests each portion.',
        source: 'NHS, from memory',
      })
      break
    }
    hot ||= step.tasks.some((t) => isHot(t.place))
  }
  return notes
}

/** Things that are no food: skewers, cocktail sticks, beads, balloons. The youngest at the table counts. */
function objectFindings(draft: Adapted): Finding[] {
  return draft.recipe.equipment.flatMap((thing) => {
    if (!/skewer|cocktail stick|toothpick|bead|balloon|glitter|magnet|lolly stick/i.test(thing)) return []
    const advice = advise({ months: draft.youngest, what: thing })
    if (advice.result !== 'stop' && advice.result !== 'change') return []
    const until = advice.until
    const under = draft.people.filter((p) => until === null || p.age < until)
    return [
      finding({
        rule: 'object',
        pass: 'shape',
        grade: advice.result === 'stop' ? 'stop' : 'adult',
        subject: { tool: thing },
        touches: under.map((p) => ({ child: p.id, about: thing })),
        says: `${thing}: ${under.map((p) => `${nameToken(p.id)} is ${ageText(p.age)}`).join(', ')}. ${advice.do}`,
        because: advice.because,
        source: advice.source,
        fixes: [{ label: 'Go on, and write why', cost: 'kept in the record', action: { do: 'reason' } }],
        dependsOn: [thing, advice.result, under.map((p) => p.id)],
      }),
    ]
  })
}

/** No added sugar under two (NHS: under four avoid; US Dietary Guidelines: none under 24 months), said once. */
function sugarFindings(draft: Adapted): Finding[] {
  const sweet = draft.lines.filter((l) => {
    const food = draft.foods.of(l.food)
    return !isUnknown(food) && food.group === 'sweet' && l.role === 'sweet'
  })
  const under = draft.people.filter((p) => p.age < 24)
  if (sweet.length === 0 || under.length === 0) return []
  return [
    finding({
      rule: 'added-sugar',
      pass: 'shape',
      grade: 'know',
      subject: { tool: 'sugar' },
      touches: under.map((p) => ({ child: p.id, about: 'added sugar' })),
      says: `No added sugar under two: ${sweet.map((l) => l.name).join(', ')}. ${under.map((p) => `${nameToken(p.id)} is ${ageText(p.age)}`).join(', ')}. Ripe fruit sweetens.`,
      because: 'Taste is learned early; a portion without it can be set aside before it goes in.',
      source: 'NHS; US Dietary Guidelines 2020-2025; from memory',
      fixes: [],
      dependsOn: [sweet.map((l) => l.food), under.map((p) => p.id)],
    }),
  ]
}

function ratioFindings(draft: Adapted, { adults, rules }: PlanRequest): Finding[] {
  const have = adults.length
  const needed =
    rules.kind === 'nursery'
      ? adultsNeeded(
          draft.people.map((p) => p.age),
          rules,
          rules.ratios,
        )
      : 1
  if (have >= needed) return []
  return [
    finding({
      rule: 'ratio',
      pass: 'shape',
      grade: 'stop',
      subject: { tool: 'adults' },
      touches: [],
      says:
        have === 0
          ? 'No adult is in this session.'
          : `${draft.people.length} children of these ages need ${needed} adults; ${countText(have, 'is', 'are')} here.`,
      because: rules.ratios?.length
        ? 'The least number of adults by the rule of this setting. Cooking usually wants more.'
        : 'The least number of adults by published minimum. Cooking usually wants more.',
      source: rules.ratios?.length ? 'the rule of this setting' : ratioSource(rules),
      fixes: [
        { label: 'Choose another adult', cost: `${needed - have} more`, action: { do: 'add-adult' } },
        { label: 'Go on, and write why', cost: 'kept in the record', action: { do: 'reason' } },
      ],
      dependsOn: [have, needed, draft.people.map((p) => p.id)],
    }),
  ]
}
