/**
 * Pass 3, portion: each bowl's lines scaled exactly, to its share of what is made; whole eggs and tins; what does not grow in
 * proportion is said.
 */
import { capitalised } from '../../amount/letter-case'
import { countText } from '../../amount/show'
import type Fraction from 'fraction.js'
import { amountText, numberText, readerText } from '../../amount/show'
import { isWhole, ratio, toText } from '../../amount/ratio'
import { eggCount, scale } from '../../amount/scale'
import { unitOf } from '../../amount/units'
import { wholeTins } from '../../amount/packs'
import { foodName } from '../../food/foods'
import { crossTo, EGG_SIZES, formWords } from '../../food/weights'
import { lineAmount } from '../../recipe/by-eye'
import { scalingNote, TIMES_NOTE } from '../../recipe/scaling'
import { eggsIn, making } from '../adapt/batches'
import { standsIn } from '../adapt/bowls'
import { varietyName } from '../../recipe/kinds/variety'
import { sceneFindings } from './scenes'
import { tastingFindings } from './tastings'
import { takersByBowl } from './takers'
import type { AdaptedLine, Pass, Portioned, Shaped } from '../model/draft'
import { finding, type Finding, type Fix } from '../model/finding'
import { ownWeights } from '../model/cupboard'
import type { PlanRequest } from '../model/request'
import type { Making } from '../model/making'
import { portionsIn, sizesIn } from './sizes'
import type { Bowl, EachSize, PlanLine } from '../model/line'

export const portion: Pass<Shaped, Portioned> = (draft, request) => {
  const present = draft.people.length
  const made = making(draft.recipe, present, request)
  const takers = new Map(
    draft.choices.flatMap((c) =>
      c.lines.map(({ line }) => [line, takersByBowl(draft.bowls, line, draft.choices)]),
    ),
  )
  const bowls: Bowl[] = draft.bowls.map((bowl) => {
    const factor = ratio(made.factor).mul(bowl.children.length).div(present)
    const lines = draft.lines
      .filter((line) => standsIn(line, bowl.id))
      .flatMap(({ each, sizes, ...line }): PlanLine[] => {
        const full = scale(line.amount, factor).amount
        const laid = takers.get(line.line)?.get(bowl.id)
        if (laid?.n === 0) return []
        // The small have less: there is only so much of it as the portions come to. Of a choice everybody takes alike.
        const small = each && sizes && !laid ? sizesIn(bowl.children, sizes, draft) : []
        const whole = toText(
          ratio(full).mul(portionsIn(bowl.children.length, small)).div(bowl.children.length),
        )
        const amount = laid ? toText(ratio(whole).mul(laid.n).div(bowl.children.length)) : whole
        const own = each && { amount: ownAmount(line, full, bowl.children.length, draft.recipe.serves) }
        const bySize = small.map(({ children, part }): EachSize => {
          const amount = toText(ratio(own?.amount ?? '0').mul(part))
          return { children, amount, text: lineAmount(line, amount) }
        })
        return [
          {
            ...line,
            amount,
            ...(laid && { takers: laid }),
            ...(own && {
              each: {
                ...own,
                text: lineAmount(line, own.amount),
                ...(bySize.length > 0 && { sizes: bySize }),
              },
            }),
            name: varietyName(
              line.variety,
              foodName(draft.foods.of(line.food), line.unit === 'item' && ratio(amount).compare(1) > 0),
            ),
            text: lineAmount(line, amount),
            recipeText: own
              ? `${lineAmount(line, ratio(line.amount).div(draft.recipe.serves))} each`
              : lineAmount(line, line.amount),
            ...(line.byEye === undefined && also({ ...line, amount }, request)),
          },
        ]
      })
    return { ...bowl, factor: toText(factor), lines }
  })
  const findings = [
    ...refused(made),
    ...eggFindings(draft, bowls, made, request),
    ...draft.lines.flatMap((line) => tinFinding(line, bowls)),
    ...scalingFindings(draft, bowls),
    ...sceneFindings(draft, bowls),
    ...tastingFindings(draft, bowls),
  ]
  return { draft: { ...draft, bowls, making: made }, findings }
}

/** One child's portion as the recipe has it; less where fewer portions are made than there are children. */
function ownAmount(line: AdaptedLine, amount: string, children: number, serves: number): string {
  const written = ratio(line.amount).div(serves)
  const share = ratio(amount).div(Math.max(1, children))
  return toText(written.compare(share) > 0 ? share : written)
}

/** 1 1/2 cups of flour are also 198 g; 200 g of it also 1 1/2 cups; a foreign cup also so much of the reader's own. */
function also(line: AdaptedLine, request: PlanRequest): Pick<PlanLine, 'also'> {
  const { country } = request.rules
  const own = readerText(line.amount, line.unit, country)
  const weight = line.food === 'water' ? null : otherWay(line, request)
  const text = [own, weight?.text ?? ''].filter(Boolean).join(' or ')
  return text
    ? { also: { text, source: weight?.source ?? 'by exact millilitres, to the nearest quarter or third' } }
    : {}
}

/** By weight what is measured, by the cup what is weighed. */
function otherWay(line: AdaptedLine, request: PlanRequest): { text: string; source: string } | null {
  const cup = request.rules.country === 'us' ? 'cup_us' : 'cup_m'
  const other = unitOf(line.unit).dimension === 'mass' ? cup : 'g'
  const words = formWords(line.prep, line.shape)
  const crossed = crossTo(line.amount, line.unit, other, line.food, words, ownWeights(request))
  if (!crossed?.source) return null
  const { amount, source } = crossed
  // A cup of a weighed food is rounded to the nearest quarter: nobody measures finer by eye.
  const shown = other === cup ? amount.mul(4).round().div(4) : amount
  return shown.compare(0) > 0 ? { text: amountText(shown, other), source } : null
}

function refused({ refused: says, make }: Making): Finding[] {
  if (!says) return []
  return [
    finding({
      rule: 'make',
      pass: 'portion',
      grade: 'know',
      subject: { tool: 'amount' },
      touches: [],
      says: `${says} The amounts go by the children.`,
      because: 'Chosen under Amounts.',
      source: 'computed',
      fixes: [],
      dependsOn: make,
    }),
  ]
}

/** Edible grams of an egg in a recipe of Lea's: a US large, which is as a UK medium. Source: SR, from memory. */
const RECIPE_EGG_GRAMS = '50'

/** Grams of one egg in this setting's box. */
function boxEgg({ rules }: PlanRequest): { size: string; grams: string } {
  const usual = rules.country === 'us' ? 'US L' : 'EU/UK M'
  const found = EGG_SIZES.find((e) => e.size === (rules.eggSize ?? usual))
  return { size: found?.size ?? usual, grams: found?.edible ?? RECIPE_EGG_GRAMS }
}

/** Eggs by beaten weight over all bowls; where they do not come out whole, batches in which they do. */
function eggFindings(draft: Shaped, bowls: readonly Bowl[], made: Making, request: PlanRequest): Finding[] {
  const lines = draft.lines.filter((l) => l.food === 'egg-hen' && l.unit === 'item')
  if (lines.length === 0) return []
  const box = boxEgg(request)
  const shares = bowls.flatMap((b) =>
    b.lines.filter((l) => lines.some((x) => x.id === l.id)).map((l) => ratio(l.amount)),
  )
  const all = shares.reduce((a, b) => a.add(b), ratio(0))
  if (shares.every(isWhole) && box.grams === RECIPE_EGG_GRAMS) return []
  const count = eggCount(all, ratio(1), RECIPE_EGG_GRAMS, box.grams)
  const whole = count.suggest === 'whole'
  if (whole && bowls.length === 1 && isWhole(all)) return []
  const eggs = (n: number): string => countText(n, 'egg')
  const each = [...new Set(shares.map((s) => amountText(s.mul(RECIPE_EGG_GRAMS), 'g')))].join(' or ')
  const total = amountText(count.needed_g, 'g')
  const says =
    whole && bowls.length === 1
      ? `${numberText(all)} eggs: ${eggs(count.nearest)} of size ${box.size} are near enough (${total} beaten).`
      : `${numberText(all)} ${all.compare(1) > 0 ? 'eggs' : 'egg'}: beat ${eggs(whole ? count.nearest : count.roundUp)} of size ${box.size} and ` +
        (bowls.length > 1
          ? `give each bowl ${each}.`
          : `use ${total}; the rest is for egg wash, cooked the same day.`)
  return [
    finding({
      rule: 'whole-eggs',
      pass: 'portion',
      grade: 'know',
      subject: { line: lines[0]?.id ?? 'egg' },
      touches: [],
      says,
      because: `An egg of size ${box.size} is ${box.grams} g beaten. Within 10 % a whole egg is near enough; otherwise beat and weigh.`,
      source: 'USDA egg grades; EU/UK marketing standard; 10 % is common practice; from memory',
      fixes: isWhole(all) ? [] : batchFixes(made, eggsIn(draft.recipe)),
      dependsOn: [shares.map(toText), box],
    }),
  ]
}

const batchFixes = (made: Making, eggs: Fraction): Fix[] =>
  made.batches
    .filter((b) => !b.chosen && isWhole(ratio(b.eggs)) && eggs.compare(0) > 0)
    .slice(0, 2)
    .map((b) => ({
      label: `Make ${numberText(b.batches)} ${ratio(b.batches).compare(1) > 0 ? 'batches' : 'batch'}`,
      cost: `${numberText(b.makes)} portions, ${numberText(b.left)} left over; ${numberText(b.eggs)} ${b.eggs === '1' ? 'egg' : 'eggs'}`,
      action: { do: 'decide', decision: { kind: 'make', make: { by: 'batches', batches: b.batches } } },
    }))

const CONTAINERS = new Set(['tin', 'sachet', 'packet', 'jar', 'carton'])

function tinFinding(line: AdaptedLine, bowls: readonly Bowl[]): Finding[] {
  if (!CONTAINERS.has(line.unit)) return []
  const all = bowls
    .flatMap((b) => b.lines.filter((l) => l.id === line.id))
    .reduce((sum, l) => sum.add(l.amount), ratio(0))
  const whole = wholeTins(all)
  if (whole.how === 'exact') return []
  const [word, plural] = [line.unit, `${line.unit}s`]
  const opened = `${whole.n} ${whole.n === 1 ? word : plural}`
  return [
    finding({
      rule: 'whole-tins',
      pass: 'portion',
      grade: 'know',
      subject: { line: line.id },
      touches: [],
      says:
        whole.how === 'near'
          ? `${line.name}: ${numberText(all)} ${plural}. ${opened} are near enough.`
          : `${line.name}: ${numberText(all)} ${plural}. Open ${opened}; ${numberText(whole.left)} of one is left over.`,
      because: 'Within 15 % a whole tin is near enough in soups, salads and dips.',
      source: 'common practice, from memory',
      fixes: [],
      dependsOn: toText(all),
    }),
  ]
}

/** What does not grow in proportion, by the factor of the fullest bowl: each bowl is mixed on its own. */
function scalingFindings(draft: Shaped, bowls: readonly Bowl[]): Finding[] {
  const factors = bowls.map((b) => ratio(b.factor)).sort((a, b) => a.compare(b))
  const [least = ratio(1), most = ratio(1)] = [factors[0], factors.at(-1)]
  // Lines to which the same holds are one finding.
  const notes = new Map<string, AdaptedLine[]>()
  for (const line of draft.lines) {
    const says = scalingNote(line.role, most) ?? scalingNote(line.role, least)
    if (says) notes.set(says, [...(notes.get(says) ?? []), line])
  }
  const bakes = draft.recipe.steps.some((s) => s.tasks.some((t) => t.place === 'oven' && t.mode === 'WAIT'))
  const deeper = draft.recipe.tin !== undefined && most.compare('5/4') > 0 && bakes
  const because = `The amounts are ${numberText(most)} times the recipe as written.`
  const say = (subject: Finding['subject'], says: string): Finding =>
    finding({
      rule: 'scaling',
      pass: 'portion',
      grade: 'know',
      subject,
      touches: [],
      says: `${capitalised(says)}.`,
      because,
      source: 'common practice, from memory',
      fixes: [],
      dependsOn: [toText(most), toText(least)],
    })
  return [
    ...[...notes].map(([says, lines]) =>
      say(
        { tool: lines.map((l) => l.id).join('+') },
        `${lines.map((l) => foodName(draft.foods.of(l.food))).join(', ')}: ${says}`,
      ),
    ),
    ...(deeper ? [say({ tool: 'times' }, TIMES_NOTE)] : []),
  ]
}
