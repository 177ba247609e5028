/**
 * Rules of age about what is eaten: forms that choke, foods that are too early. Asked of every line and of everybody at the table, by the
 * same engine that answers Check. Prepared forms are taken from what is said of the line, never guessed.
 */
import { capitalised } from '../../amount/letter-case'
import { ageText } from '../../craft/ages'
import {
  preparationText,
  settlingForm,
  SHAPE_ROWS,
  shapeBreach,
  shapeRow,
  type ShapeBreach,
} from '../../food/by-age/choking'
import { formsInName, formsOfCodes, withoutAgainst, type Forms } from '../../food/by-age/forms'
import { rowsNamed } from '../../food/by-age/named'
import { formsSaidOf } from '../../food/by-age/said-of'
import {
  ALWAYS,
  EARLY_ROWS,
  earlyRowsOf,
  earlyUntil,
  isTooEarly,
  type EarlyRow,
} from '../../food/by-age/too-early'
import { guidanceOf } from '../../amount/nation/nations'
import { isUnknown } from '../../food/foods'
import { statesOf, stateLines } from '../../recipe/states/hazards'
import type { Adapted, AdaptedLine, DraftChild } from '../model/draft'
import { finding, nameToken, type Finding, type Fix } from '../model/finding'
import type { PlanRequest } from '../model/request'

export function ageFindings(draft: Adapted, request: PlanRequest): Finding[] {
  const { heated } = statesOf(draft.recipe, stateLines(draft.lines, draft.foods)).cooking
  return [
    ...draft.lines.flatMap((line) => [
      ...shapeFindings({ line, heated: heated.has(line.line) }, draft, request),
      ...earlyFindings({ line, heated: heated.has(line.line) }, draft, request),
    ]),
    ...solidsFindings(draft),
  ]
}

const wordsOf = (line: AdaptedLine): string => `${line.name}, ${line.prep ?? ''}`

/** Lea's own foods and foods that somebody described are what they are; whatever else a line names runs through the rules by its words. */
const isDescribed = (line: AdaptedLine, draft: Adapted): boolean => {
  const food = draft.foods.of(line.food)
  return !isUnknown(food) && !line.food.startsWith('own:')
}

interface Asked {
  line: AdaptedLine
  /** A heat of the recipe reaches it. */
  heated: boolean
}

/** Forms in which a row's food stands: what is stored with the line, less what its words take away; of unknown foods what the words say. */
function formsOf({ line, heated }: Asked, name: string | null): Forms {
  const said =
    line.shape || name === null
      ? withoutAgainst(both(formsOfCodes(line.shape), formsInName(line.name)), line.prep)
      : formsSaidOf(name, wordsOf(line), '')
  return heated ? said.map((codes) => [...codes, 'COOKED']) : said
}

/** What is stored with a line, and what the food's own name says: "cooked beetroot". */
const both = (stored: Forms, named: Forms): Forms =>
  stored.flatMap((codes) => named.map((more) => [...codes, ...more]))

function shapeFindings(asked: Asked, draft: Adapted, request: PlanRequest): Finding[] {
  const { line } = asked
  const food = draft.foods.of(line.food)
  const own = isUnknown(food) ? undefined : shapeRow(food.shape)
  const named = isDescribed(line, draft) ? [] : rowsNamed(SHAPE_ROWS, wordsOf(line))
  const rows = [...(own ? [{ row: own, name: null }] : []), ...named.filter((n) => n.row !== own)]
  return rows.flatMap(({ row, name }) => {
    const breach = shapeBreach(row, formsOf(asked, name), draft.youngest, wordsOf(line))
    return breach ? [shapeFinding(line, breach, draft, request)] : []
  })
}

const under = (people: readonly DraftChild[], until: number | null): DraftChild[] =>
  people.filter((p) => until === null || p.age < until)
const agesOf = (people: readonly DraftChild[]): string =>
  people.map((p) => `${nameToken(p.id)} is ${ageText(p.age)}`).join(', ')

/** What can be done about a line whatever stands against it. */
function commonFixes(line: AdaptedLine, { recipe }: Adapted): Fix[] {
  const optional = recipe.lines.find((l) => l.id === line.line)?.optional
  return [
    ...(optional
      ? [
          {
            label: `Leave out the ${line.name}`,
            cost: 'nothing stands in for it',
            action: { do: 'decide' as const, decision: { kind: 'leave-out' as const, line: line.line } },
          },
        ]
      : []),
    { label: 'Go on, and write why', cost: 'kept in the record', action: { do: 'reason' } },
  ]
}

function shapeFinding(
  line: AdaptedLine,
  { row, rule, until }: ShapeBreach,
  draft: Adapted,
  request: PlanRequest,
): Finding {
  const touched = under(draft.people, until)
  const limit = until ?? ALWAYS
  const offer = settlingForm(row, draft.youngest, wordsOf(line))
  const fix: Fix[] =
    offer && canDecide(line, request)
      ? [
          {
            label: `Serve it ${preparationText(offer)}`,
            cost: 'an adult checks each piece',
            action: { do: 'decide', decision: { kind: 'shape', line: line.line, shape: offer } },
          },
        ]
      : []
  const at = rule.below === null ? 'at any age' : `under ${ageText(rule.below)}`
  return finding({
    rule: 'shape',
    pass: 'shape',
    grade: 'stop',
    subject: { line: line.id, food: line.food },
    touches: touched.map((p) => ({ child: p.id, about: row.id })),
    says: `${capitalised(line.name)}: ${row.hazard}, and ${agesOf(touched)}. ${row.says}`,
    because: line.shape
      ? `${capitalised(preparationText(line.shape))} is not enough ${at}.`
      : `The recipe does not say how it is prepared; ${at} it matters.`,
    source: row.source,
    fixes: [...fix, ...commonFixes(line, draft)],
    dependsOn: [line.food, line.shape, limit, touched.map((p) => p.id)],
  })
}

/** A decision holds for a line of the recipe, and for what stands in for it. */
const canDecide = (line: AdaptedLine, request: PlanRequest): boolean =>
  request.recipe.lines.some((l) => l.id === line.line)

function earlyFindings(asked: Asked, draft: Adapted, { rules }: PlanRequest): Finding[] {
  const { line } = asked
  const known = earlyRowsOf(line.food)
  const named = isDescribed(line, draft)
    ? []
    : rowsNamed(EARLY_ROWS, wordsOf(line), false).filter((n) => !n.row.every && !known.includes(n.row))
  const found = [...known.map((row) => ({ row, name: null })), ...named].filter(
    ({ row, name }) =>
      !SAID_ELSEWHERE.has(row.id) && isTooEarly(row, formsOf(asked, name), draft.youngest, guidanceOf(rules)),
  )
  const stops = found.some(({ row }) => !row.note)
  return found
    .filter(({ row }) => !row.note || !stops)
    .map(({ row }) => earlyFinding(line, row, draft, earlyUntil(row, guidanceOf(rules))))
}

/** Sugar has a finding of its own; raw egg, raw dough and raw fish are followed through the steps. */
const SAID_ELSEWHERE = new Set(['d-sugar', 'd-egg-uk', 'd-egg-us', 'd-egg-other', 'd-dough', 'd-nuts'])

function earlyFinding(line: AdaptedLine, row: EarlyRow, draft: Adapted, until: number): Finding {
  const touched = under(draft.people, until >= ALWAYS ? null : until)
  return finding({
    rule: 'too-early',
    pass: 'shape',
    grade: row.note ? 'know' : 'stop',
    subject: { line: line.id, food: line.food, tool: row.id },
    touches: touched.map((p) => ({ child: p.id, about: row.id })),
    says: `${capitalised(line.name)}: ${until >= ALWAYS ? 'not for children' : `not under ${ageText(until)}`}; ${agesOf(touched)}. ${row.says}`,
    because: `${capitalised(row.rule)}.`,
    source: row.source,
    fixes: row.note ? [] : commonFixes(line, draft),
    dependsOn: [line.food, row.id, until, touched.map((p) => p.id)],
  })
}

/** A baby at the table, a child's or a carer's, is given nothing of it before solid food. */
function solidsFindings({ people }: Adapted): Finding[] {
  return EARLY_ROWS.filter((row) => row.every).flatMap((row) => {
    const until = earlyUntil(row)
    const touched = people.filter((p) => p.age < until)
    if (touched.length === 0) return []
    return [
      finding({
        rule: 'too-early',
        pass: 'shape',
        grade: 'stop',
        subject: { tool: row.id },
        touches: touched.map((p) => ({ child: p.id, about: row.id })),
        says: `${agesOf(touched)}: nothing of this is eaten yet. ${row.says}`,
        because: `${capitalised(row.rule)}.`,
        source: row.source,
        fixes: [
          {
            label: 'Only looks on: an adult sees to it',
            cost: 'kept in the record',
            action: { do: 'reason' },
          },
        ],
        dependsOn: [until, touched.map((p) => p.id)],
      }),
    ]
  })
}
