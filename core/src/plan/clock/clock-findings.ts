/** What the clock has to say: too late, tight, waits, what stands too long. */
import { longestWait } from '../../craft/ages'
import type { Clocked } from '../model/draft'
import { finding, nameToken, type Finding } from '../model/finding'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { clockAfter, minutesBetween, minutesText, minutes } from '../../amount/clock-time'

type Draft = Pick<Clocked, 'people' | 'recipe' | 'bowls' | 'fill'>

export function clockFindings(draft: Draft, totals: Plan['totals'], request: PlanRequest): Finding[] {
  return [...late(totals, request), ...waits(draft, totals), ...standingFindings(draft, totals)]
}

function late(totals: Plan['totals'], request: PlanRequest): Finding[] {
  const { start, until } = request.session
  if (!until) return []
  const by = minutesBetween(until, totals.endsAt)
  const needed = Math.ceil(((totals.buffer ?? 0) + clearing(totals)) / 60)
  const short = needed + by
  if (short <= 0) return []
  const sooner = (n: number): Finding['fixes'][number] => {
    const earlier = clockAfter(start, 24 * 60 - n)
    return {
      label: `Start at ${earlier}`,
      cost: `${minutes(n)} earlier`,
      action: { do: 'start-at', start: earlier },
    }
  }
  if (by <= 0)
    return [
      finding({
        rule: 'tight',
        pass: 'clock',
        grade: 'know',
        subject: { tool: 'clock' },
        touches: [],
        says: `Only ${minutes(-by)} to spare; plan for ${needed}: ${tightWords(totals)}.`,
        because: 'A tenth of the time at the table goes to what is slower than planned.',
        source: 'common practice, from memory',
        fixes: [sooner(short)],
        dependsOn: [until, totals.endsAt, needed],
      }),
    ]
  return [
    finding({
      rule: 'late',
      pass: 'clock',
      grade: 'know',
      subject: { tool: 'clock' },
      touches: [],
      says: `It ends at ${totals.endsAt}, ${minutes(by)} after the families come at ${until}.`,
      because: `${Math.round(totals.seconds / 60)} minutes of steps from ${start}.`,
      source: 'computed',
      fixes: [sooner(by)],
      dependsOn: [until, totals.endsAt],
    }),
  ]
}

const clearing = ({ clearUp }: Plan['totals']): number => (clearUp ? clearUp.end - clearUp.start : 0)
const tightWords = (totals: Plan['totals']): string =>
  [
    `${Math.round((totals.buffer ?? 0) / 60)} for what goes slower`,
    ...(clearing(totals) > 0 ? [`${Math.round(clearing(totals) / 60)} for clearing up`] : []),
  ].join(', ')

function waits(draft: Draft, totals: Plan['totals']): Finding[] {
  const waiting = draft.people.flatMap((p) => {
    const wait = totals.perChild.find((t) => t.child === p.id)?.longestWait ?? 0
    return wait > longestWait(p.age) ? [{ id: p.id, wait }] : []
  })
  if (waiting.length === 0) return []
  const worst = Math.max(...waiting.map((w) => w.wait))
  const filled = waiting.filter((w) => draft.fill.some((f) => f.child === w.id))
  return [
    finding({
      rule: 'waits',
      pass: 'clock',
      grade: 'know',
      subject: { tool: 'waits' },
      touches: waiting.map((w) => ({ child: w.id, about: 'waits' })),
      says: `Long waits for a turn, up to ${minutesText(worst)}: ${waiting.map((w) => nameToken(w.id)).join(', ')}. ${
        filled.length > 0 ? 'Jobs has something for each meanwhile.' : 'Have a second job ready.'
      }`,
      because: 'Longer than children of that age usually wait.',
      source: 'common practice (attention by age), from memory',
      fixes: [],
      dependsOn: waiting,
    }),
  ]
}

function standingFindings({ recipe, bowls }: Draft, { standing }: Plan['totals']): Finding[] {
  return [...new Set((standing ?? []).map((s) => s.step))].map((id) => {
    const own = (standing ?? []).filter((s) => s.step === id)
    const worst = own.reduce((a, b) => (b.seconds > a.seconds ? b : a))
    const step = recipe.steps.find((s) => s.id === id)
    const where =
      bowls.length > 1
        ? `: ${own.map((s) => bowls.find((b) => b.id === s.bowl)?.name ?? s.bowl).join(', ')}`
        : ''
    return finding({
      rule: 'stands',
      pass: 'clock',
      grade: 'know',
      subject: { step: id },
      touches: [],
      says: `${step?.title ?? id}: it stands ${minutesText(worst.seconds)} before that${where}; ${minutesText(worst.most)} at most.`,
      because: step?.soon?.why ?? '',
      source: 'the recipe',
      fixes: [],
      dependsOn: own,
    })
  })
}
