/**
 * Free choice: what each child may be offered, by its card and its age, how many at once, and what it is reckoned to take. A form that is too
 * early for one stands for the others, out of its reach.
 */
import { andList, countText } from '../../amount/show'
import { choicesAt } from '../../craft/choices'
import { foodName } from '../../food/foods'
import { varietyName } from '../../recipe/kinds/variety'
import { choiceStep, ownChoices } from '../../recipe/own-choices'
import type { FreeChoice } from '../../recipe/recipe'
import type { ChoiceOffer, PlanChoice } from '../model/choice'
import { decisionKey } from '../model/decision'
import { digest } from '../model/digest'
import type { Adapted, Offers } from '../model/draft'
import { finding, nameToken, type Finding } from '../model/finding'
import { WORK, type WatchNote } from '../model/plan'
import type { PlanRequest } from '../model/request'

const SOURCE = 'common practice (choices by age), from memory'

/**
 * Stops of age at a line that only some may choose become *adult*: they are not offered it. Where nobody would be left, it stays a stop.
 * @returns the findings as they are then, and who is offered what
 */
export function withAgeOffers(
  { offers, people }: Adapted,
  found: readonly Finding[],
): { offers: Offers; findings: Finding[] } {
  const now: Offers = new Map([...offers].map(([line, not]) => [line, new Map(not)]))
  const findings = found.map((f): Finding => {
    const line = lineOf(f)
    const before = now.get(line)
    if (!before || f.grade !== 'stop' || f.touches.length === 0) return f
    const not = new Map(before)
    for (const t of f.touches)
      not.set(t.child, f.rule === 'shape' ? 'not yet in this form' : 'not at this age')
    if (not.size >= people.length) return f
    now.set(line, not)
    const whom = [...new Set(f.touches.map((t) => t.child))]
    return {
      ...f,
      grade: 'adult',
      says: `${f.says} Not offered to ${andList(whom.map(nameToken))}: keep it out of reach.`,
      cause: digest([f.cause, 'passed', whom]),
    }
  })
  return { offers: now, findings }
}

/** `line` or `line>food`: of the recipe's line. */
const lineOf = (f: Finding): string => (f.subject.line ?? '').split('>')[0] ?? ''

/** The own choices with what stands for them today, and who takes what. */
export function choicesOf(draft: Adapted, offers: Offers, request: PlanRequest): PlanChoice[] {
  const taken = new Set<string>()
  return ownChoices(draft.recipe).flatMap((choice): PlanChoice[] => {
    const step = choiceStep(choice, draft.recipe)
    const lines = choice.lines.filter((l) => offers.has(l) && !taken.has(l))
    // Where one food is left, it is a choice to take of it or not.
    if (!step || lines.length === 0) return []
    for (const l of lines) taken.add(l)
    const names = lines.map((id) => {
      const here = draft.lines.filter((l) => l.line === id)
      return {
        line: id,
        food: here[0]?.food ?? '',
        name: [...new Set(here.map((l) => varietyName(l.variety, foodName(draft.foods.of(l.food)))))].join(
          ' and ',
        ),
      }
    })
    const take = Math.min(choice.take ?? 1, lines.length)
    return [
      {
        id: choice.id,
        what: choice.what,
        step: step.id,
        take,
        lines: names,
        offers: dealt(choice, lines, take, draft, offers, request),
      },
    ]
  })
}

/** Each takes as many as it may, first what it took before, then what was reckoned least so far: of each food there is about as much. */
function dealt(
  choice: FreeChoice,
  lines: readonly string[],
  take: number,
  { people, lines: all }: Adapted,
  offers: Offers,
  { decisions }: PlanRequest,
): ChoiceOffer[] {
  const reckoned = new Map(lines.map((l) => [l, 0]))
  const count = (l: string): number => reckoned.get(l) ?? 0
  const foodOf = (l: string): string => all.find((x) => x.line === l)?.food ?? ''
  const open = people.map(({ id, age, took }) => {
    const may = lines.filter((l) => !offers.get(l)?.has(id))
    const key = decisionKey({ kind: 'chooses', choice: choice.id, child: id, lines: [] })
    const said = decisions.find((d) => decisionKey(d) === key)
    const settled = said?.kind === 'chooses' ? may.filter((l) => said.lines.includes(l)) : null
    for (const l of settled ?? []) reckoned.set(l, count(l) + 1)
    return { id, age, may, settled, liked: (l: string): number => took?.[foodOf(l)] ?? 0 }
  })
  // Who may have fewest comes first: what it may have is not gone to others then.
  const picks = new Map<string, string[]>()
  for (const { id, may, settled, liked } of [...open].sort((a, b) => a.may.length - b.may.length)) {
    const own = settled ?? [...may].sort((a, b) => liked(b) - liked(a) || count(a) - count(b)).slice(0, take)
    if (!settled) for (const l of own) reckoned.set(l, count(l) + 1)
    picks.set(
      id,
      lines.filter((l) => own.includes(l)),
    )
  }
  return open.map(({ id, age, may, settled }) => ({
    child: id,
    lines: may,
    atOnce: Math.min(may.length, choicesAt(age).usual),
    picks: picks.get(id) ?? [],
    ...(settled && { settled: true as const }),
    not: lines.flatMap((line) => {
      const why = offers.get(line)?.get(id)
      return why === undefined ? [] : [{ line, why }]
    }),
  }))
}

/** For the table, without a word of health: how many are held up, and how many each takes. */
export function choiceNotes(choices: readonly PlanChoice[]): WatchNote[] {
  return choices.map((c): WatchNote => {
    const most = Math.max(0, ...c.offers.map((o) => o.atOnce))
    const fewer = c.offers.filter((o) => o.atOnce < most)
    const says = [
      `Free choice, ${c.what}: ${andList(c.lines.map((l) => l.name))}. ${most < c.lines.length ? `Hold up ${most} at once` : 'Hold up all'}; each takes ${c.take === 1 ? 'one' : `up to ${c.take}`}, or none.`,
      ...(fewer.length > 0
        ? [
            `Fewer at once, ${Math.min(...fewer.map((o) => o.atOnce))}, for ${andList(fewer.map((o) => nameToken(o.child)))}.`,
          ]
        : []),
    ]
    return { step: c.step, grade: 'know', about: WORK, says: says.join(' '), source: SOURCE }
  })
}

/** A child for whom nothing, or one thing alone, is left of a choice: it wants something of its own. */
export function choiceFindings(choices: readonly PlanChoice[]): Finding[] {
  return choices.flatMap((c) => {
    const without = c.offers.filter((o) => o.lines.length === 0)
    const one = c.offers.filter((o) => o.lines.length === 1 && o.not.length > 0)
    const say = (who: readonly ChoiceOffer[], grade: 'adult' | 'know', says: string): Finding[] =>
      who.length === 0
        ? []
        : [
            finding({
              rule: 'no-choice',
              pass: 'shape',
              grade,
              subject: { tool: `${c.id}-${grade}` },
              touches: who.map((o) => ({ child: o.child, about: c.what })),
              says,
              because: `Each chooses among ${countText(c.lines.length, 'food')}, and takes what its card and its age let it have.`,
              source: SOURCE,
              fixes: [
                ...(grade === 'adult'
                  ? [
                      {
                        label: 'Agreed',
                        cost: 'something else is brought for it',
                        action: { do: 'stand' as const },
                      },
                    ]
                  : []),
              ],
              dependsOn: who.map((o) => [o.child, o.lines, o.not]),
            }),
          ]
    const names = (who: readonly ChoiceOffer[]): string => andList(who.map((o) => nameToken(o.child)))
    return [
      ...say(
        without,
        'adult',
        `${c.what}: nothing of it may be offered to ${names(without)}. Bring something that it may have.`,
      ),
      ...say(
        one,
        'know',
        `${c.what}: only one food may be offered to ${names(one)}. A second one makes it a choice.`,
      ),
    ]
  })
}
