import { emergencyNumber, LEVEL_WORDS, MEETING_WORDS, allergenName, dietName } from '@lea/core/food'
import { checkRows } from '@lea/core/plan'
import type { Content } from 'pdfmake/interfaces'
import { dayWords, footOf, matPicture, matsOf, say, type Paper } from './paper'
import { asWritten, heading, list, small, table, words, styled, type Page } from './pdf'

/** For staff eyes: who must not have what, and where it is on this table. */
export function allergenSheet(paper: Paper): Page {
  const { plan, session, setting } = paper
  const here = new Set([...session.children, ...session.guests.map((g) => g.id)])
  const people = [...paper.children, ...session.guests].filter(
    (p) => here.has(p.id) && (p.concerns.length > 0 || p.diets.length > 0),
  )
  const mat = matsOf(paper)
  const meetings = checkRows(plan)
  const rows = people.map((p): Content[] => {
    const met = meetings.flatMap((r) => {
      const m = r.meetings[p.id]
      return m && m.meeting !== 'nothing' ? [`${r.name}: ${MEETING_WORDS[m.meeting]}`] : []
    })
    return [
      matPicture(mat(p.id), 30),
      words(p.nickname, { bold: true, size: 12 }),
      {
        stack: [
          ...p.concerns.map((c) => words(`${allergenName(c.allergen)}: ${LEVEL_WORDS[c.level]}`)),
          ...(p.diets.length > 0
            ? [words(p.diets.map((d) => dietName(d, setting.rules.diets)).join(', '))]
            : []),
          ...(p.carePlan ? [asWritten(words(`Care plan: ${p.carePlan}`, { bold: true }))] : []),
        ],
      },
      words(met.join('; ') || 'nothing found: check the packet'),
    ]
  })
  return {
    title: `Allergy sheet: ${plan.recipe.title}`,
    foot: footOf(paper),
    content: [
      heading(`Allergy sheet: ${plan.recipe.title}`, 18),
      small(
        `${dayWords(session.date)}, ${session.start} · for staff eyes: not where families or children read it`,
      ),
      people.length === 0
        ? words('Nobody in this session has an allergy or a diet on their card. Ask again at the door.')
        : table(['Mat', 'Child', 'Must not have', 'On this table'], rows, [36, 70, 150, '*']),
      heading('Today', 13),
      list(
        plan.hygiene.filter((h) => h.when !== 'after').map((h) => say(paper, h.says)),
        9,
      ),
      styled(
        words(
          `Severe, or in doubt: adrenaline first, at once; then call ${emergencyNumber(paper.setting.rules)}, say “anaphylaxis”. The child’s own care plan comes first.`,
          { bold: true },
        ),
        { margin: [0, 8, 0, 4] },
      ),
      small('Packets change: two adults read each one today. This sheet replaces neither.'),
    ],
  }
}
