import {
  INCIDENT_WORDS,
  KEPT_WORDS,
  TASTE_WORDS,
  THUMBS,
  THUMB_WORDS,
  type TableEvent,
  heightText,
  sessionRecord,
} from '@lea/core/session'
import type { Content } from 'pdfmake/interfaces'
import { dayWords, footOf, nameOf, names, say, type Paper } from './paper'
import { heading, list, small, table, words, type Page } from './pdf'

const GATES = {
  hands: 'Hands washed',
  packets: 'Packets read',
  plans: 'Care plans known',
  stand: 'Adult in place',
}
function clockIn(zone: string): (iso: string) => string {
  const format = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone })
  return (iso) => format.format(new Date(iso))
}

/** Everything that was signed, measured and noted in one session. @param zone of the times on it, `Europe/London` */
export function recordPaper(paper: Paper, events: TableEvent[], zone: string): Page {
  const { plan, session } = paper
  const time = clockIn(zone)
  const record = sessionRecord({ id: session.id, date: session.date, title: plan.recipe.title, plan, events })
  const part = (title: string, lines: string[]): Content[] =>
    lines.length > 0 ? [heading(title, 13), list(lines)] : []
  return {
    title: `Record: ${plan.recipe.title}`,
    foot: footOf(paper),
    content: [
      heading(`Record: ${plan.recipe.title}`),
      small(
        `${dayWords(session.date)} · ${names(paper, plan.adults)}${record.begun ? ` · begun ${time(record.begun)}` : ''}${record.finished ? `, closed ${time(record.finished)}` : ''}`,
      ),
      ...part(
        'Checked',
        record.gates.map(
          (g) =>
            `${time(g.at)} ${GATES[g.gate]}: ${names(paper, g.by)}${g.foods ? ` (${g.foods.join(', ')})` : ''}`,
        ),
      ),
      ...part(
        'Measured',
        record.temperatures.map(
          (t) =>
            `${time(t.at)} ${t.what}: ${t.celsius} °C, held ${t.held} s, ${nameOf(paper, t.by)}${t.from === 'typed' ? ', written by hand' : ''}`,
        ),
      ),
      ...part(
        'Opened again',
        record.reopened.map((r) => `${time(r.at)}${r.by ? ` ${nameOf(paper, r.by)}` : ''}: ${r.reason}`),
      ),
      ...part(
        'Happened',
        record.incidents.map(
          (i) =>
            `${time(i.at)} ${INCIDENT_WORDS[i.what]}, ${names(paper, i.who)}: ${i.text} Done: ${i.done} (${nameOf(paper, i.by)})${i.seenBy ? `, read by ${nameOf(paper, i.seenBy)}` : ', not read by the owner yet'}`,
        ),
      ),
      ...record.tastings.flatMap((t) =>
        part(
          `Tasted: ${t.title}`,
          t.foods.map(
            (f) =>
              `${f.name}: ${THUMBS.map((thumb) => `${THUMB_WORDS[thumb]} ${f.who[thumb].length}`).join(', ')}${f.guessed ? `; named rightly ${f.guessed.right} of ${f.guessed.of}` : ''}`,
          ),
        ),
      ),
      ...part(
        `Grew: ${record.grows?.what ?? ''}`,
        (record.grows?.looks ?? []).flatMap((l) =>
          l.seen
            ? [
                `day ${l.day}, ${dayWords(l.date)}: ${[l.seen.says ?? '', heightText(record.grows?.looks ?? [], l.day)].filter(Boolean).join('; ') || 'looked at'}`,
              ]
            : [],
        ),
      ),
      ...part(
        'Cleared by an adult',
        record.cleared.map((c) => `${say(paper, c.says)} ${nameOf(paper, c.who)}: ${c.why}`),
      ),
      heading('Children', 13),
      table(
        ['Child', 'Turns', 'What the hands did', 'Taste'],
        record.children.map((c): Content[] => [
          words(nameOf(paper, c.child), { bold: true }),
          words(String(c.turns)),
          words(c.techniques.join(', ') || 'nothing tapped'),
          words(c.taste ? TASTE_WORDS[c.taste] : ''),
        ]),
        [80, 40, '*', 80],
      ),
      ...part(
        'Notes',
        record.notes.map((n) => `${n.child ? `${nameOf(paper, n.child)}: ` : ''}${n.text}`),
      ),
      ...part(
        'Left over',
        record.leftovers.map(
          (l) => `${l.amount || 'some'}, ${KEPT_WORDS[l.place]}, until ${dayWords(l.until)}`,
        ),
      ),
      ...part('To remember', record.memo.filter(Boolean)),
      small(
        `Times are of ${zone.replaceAll('_', ' ')}. Only what was tapped stands here; nothing is taken from the plan.`,
      ),
    ],
  }
}
