/** What to say of things counted, and of numbers said aloud. In our own words; targets and ages: learning.md A and B1 (from memory). */
import { wordOf } from './fields'
import { given, say, text, type Saying, type Sayings } from './saying'

/** Numbers said in time to an action, such as rubbing hands: nothing to touch. */
const countAloud = (n: number): Saying[] => [
  say('model', 'count-recite-5', 12, 60, 'One, two, three … we count all the way together!', 'joins in'),
  say('choice', 'count-recite-20', 30, 72, 'Shall we count fast or slowly?', 'either: a true choice'),
  ...(n > 2
    ? [
        say(
          'focused',
          'count-recite-20',
          48,
          90,
          `Count to ${n}, and stop me: what comes after ${Math.min(n - 1, 12)}?`,
          String(Math.min(n - 1, 12) + 1),
          { numbers: [n] },
        ),
      ]
    : []),
  say(
    'open',
    'count-back-10',
    60,
    144,
    'How else could we count as far? Backwards? In twos?',
    'any way that gets there',
    { numbers: [n] },
  ),
]

export const count: Sayings = (f, d) => {
  const [food, n] = [wordOf(f, 'food', 'things'), text(d, 'n')]
  if (f['aloud'] === true) return countAloud(Number(n))
  const other = Number(n) > 1 ? Number(n) - 1 : Number(n) + 1
  return [
    say(
      'model',
      'count-recite-5',
      12,
      60,
      `One, two … count the ${food} with me!`,
      'looks, touches or joins in',
    ),
    say('choice', 'sub-1-3', 30, 60, `Is that ${other} ${food}, or ${n}?`, n, { numbers: [n] }),
    say('focused', 'count-one-to-one-10', 36, 84, `Count the ${food}, each once. How many?`, n, {
      numbers: [n],
    }),
    ...(given(d, 'less')
      ? [
          say(
            'focused',
            'take-within-10',
            48,
            96,
            `There were ${n}, and some are used. How many are left?`,
            text(d, 'less'),
            { numbers: [n] },
          ),
        ]
      : []),
    say(
      'open',
      'add-one-more',
      42,
      120,
      `If there were one more of the ${food}, how many then? How do you know?`,
      String(Number(n) + 1),
      {
        numbers: [Number(n) + 1],
      },
    ),
    say(
      'open',
      'count-estimate',
      84,
      144,
      `How could we count the ${food} faster than one by one?`,
      'in twos, fives or groups',
      { numbers: [n] },
    ),
  ]
}
