/** What would be eaten raw, what nobody tastes yet, and oil for deep frying. */
import { ageText } from '../../craft/ages'
import { nationOf } from '../../amount/nation/nations'
import type { RawKind } from '../../food/raw-words'
import { eatenRaw, stateLines, statesOf, type RecipeStates } from '../../recipe/states/hazards'
import { isDeepOil } from '../../recipe/states/heat'
import type { StateLine } from '../../recipe/states/cooking'
import type { Adapted } from '../model/draft'
import { finding, nameToken, type Finding } from '../model/finding'
import { WORK, type WatchNote } from '../model/plan'
import type { PlanRequest } from '../model/request'

const states = (draft: Adapted): RecipeStates => statesOf(draft.recipe, stateLines(draft.lines, draft.foods))

const KIND_WORD: Record<RawKind, string> = {
  egg: 'egg',
  flour: 'flour',
  poultry: 'meat',
  meat: 'meat',
  mince: 'meat',
  fish: 'fish',
}

/** The steps at which something raw is on the table that nobody may taste: until a heat cooks it. */
export function rawNotes(draft: Adapted, { rules }: Pick<PlanRequest, 'rules'>): WatchNote[] {
  const { at, neverCooked } = states(draft).cooking
  // Stamped eggs that are meant to be eaten raw are asked about once, not forbidden at the end.
  const agreed = new Set(
    nationOf(rules).stampedEggs ? neverCooked.filter((l) => HEN.has(l.food)).map((l) => l.line) : [],
  )
  return draft.recipe.steps.flatMap((step): WatchNote[] => {
    const first = at.get(step.id)?.[0]
    const eats = step.tasks.some((t) => t.technique === 'taste' || t.technique === 'serve-self')
    const there = (first?.there ?? []).filter((l) => !eats || !agreed.has(l.line))
    const kinds = new Set(there.flatMap((l) => (l.raw ? [KIND_WORD[l.raw]] : [])))
    if (kinds.size === 0) return []
    return [
      {
        step: step.id,
        grade: 'know',
        about: WORK,
        says: `No tasting yet: raw ${[...kinds].join(' and ')}.`,
        source: 'FSA; FDA; CDC, from memory',
      },
    ]
  })
}

const namesOf = (lines: readonly StateLine[]): string => [...new Set(lines.map((l) => l.name))].join(', ')

/**
 * No heat of the recipe cooks it, so it would be eaten raw. Eggs go by country: in the UK a stamped hen's egg may be, by an adult's look at
 * the stamp; in the US not under five and not in child care.
 */
export function rawFindings(draft: Adapted, { rules }: PlanRequest): Finding[] {
  return [...eatenRaw(states(draft))].map(([kind, lines]) => {
    const stamped = kind === 'egg' && nationOf(rules).stampedEggs && lines.every((l) => HEN.has(l.food))
    return finding({
      rule: 'eaten-raw',
      pass: 'shape',
      grade: stamped ? 'adult' : 'stop',
      subject: { tool: kind },
      touches: stamped ? [] : draft.people.map((p) => ({ child: p.id, about: kind })),
      says: saysOf(kind, lines, stamped, draft),
      because: BECAUSE[kind],
      source:
        kind === 'egg'
          ? nationOf(rules).stampedEggs
            ? 'FSA, NHS (advice since 2017), from memory'
            : 'FDA; Food Code 3-801.11; CDC; elsewhere the stricter, from memory'
          : 'FSA; CDC; FDA, from memory',
      fixes: stamped
        ? [{ label: 'The eggs carry the stamp', cost: 'asked again at the table', action: { do: 'stand' } }]
        : [{ label: 'Go on, and write why', cost: 'kept in the record', action: { do: 'reason' } }],
      dependsOn: [kind, lines.map((l) => l.food), nationOf(rules).id, draft.people.map((p) => p.id)],
    })
  })
}

/** Hens' eggs; of others white and yolk are cooked hard. */
const HEN = new Set(['egg-hen', 'egg-white', 'egg-yolk'])

function saysOf(kind: RawKind, lines: readonly StateLine[], stamped: boolean, { people }: Adapted): string {
  const what = namesOf(lines)
  if (stamped)
    return `Eaten raw: ${what}. An adult looks at each shell: only eggs with the national stamp for runny eggs.`
  const youngest = people.reduce<Adapted['people'][number] | undefined>(
    (y, p) => (y === undefined || p.age < y.age ? p : y),
    undefined,
  )
  const who = youngest ? ` The youngest here, ${nameToken(youngest.id)}, is ${ageText(youngest.age)}.` : ''
  return `Eaten raw: ${what}. No step of this recipe cooks ${lines.length > 1 ? 'them' : 'it'}.${who}`
}

const BECAUSE: Record<RawKind, string> = {
  egg: 'Salmonella; small children fall ill of little.',
  flour:
    'Flour is a raw food (E. coli): nobody eats it unbaked, at any age. Toasting it at home is not reliable.',
  poultry: 'Raw poultry is never eaten.',
  meat: 'Raw meat is never eaten in a session.',
  mince: 'Mince is cooked through at every age.',
  fish: 'Raw fish and shellfish are not served to children in a session.',
}

/** Nobody but the adult is in the room while oil for deep frying is hot. */
export function oilFindings({ recipe, people }: Adapted): Finding[] {
  return recipe.steps.filter(isDeepOil).map((step) =>
    finding({
      rule: 'deep-oil',
      pass: 'shape',
      grade: 'stop',
      subject: { step: step.id },
      touches: people.map((p) => ({ child: p.id, about: 'deep oil' })),
      says: `${step.title}: oil for deep frying. All children leave the room with another adult until it is cold.`,
      because: 'Hot oil spills, spits and burns; nobody can watch both it and children.',
      source: 'RoSPA; fire services; common practice, from memory',
      fixes: [
        { label: 'The children are in another room', cost: 'kept in the record', action: { do: 'reason' } },
      ],
      dependsOn: [step.id, people.map((p) => p.id)],
    }),
  )
}
