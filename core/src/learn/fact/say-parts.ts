/** What to say of parts: cuts, shares, tins. In our own words; targets and ages: learning.md A and B1 (from memory). */
import { amountOf, wordOf } from './fields'
import { given, partWord, say, text, type Sayings } from './saying'

export const cut: Sayings = (f, d, locale) => {
  const food = wordOf(f, 'food', 'it')
  const one = text(d, 'onePiece')
  return [
    say(
      'model',
      'frac-whole-piece',
      18,
      48,
      `Whole … cut … pieces! Push them together: whole again.`,
      'pushes them together',
    ),
    say(
      'choice',
      'frac-half-object',
      42,
      84,
      'Are these pieces fair, all the same, or not?',
      f['equal'] === false ? 'not fair: they are not the same' : 'fair: all the same',
    ),
    say('focused', 'group-equal', 66, 120, `How many pieces of ${food} are there in all?`, text(d, 'total'), {
      numbers: [text(d, 'total')],
    }),
    ...(Number(text(d, 'total')) > 1 && amountOf(f, 'items').equals(1)
      ? [
          say(
            'open',
            'frac-whole-piece',
            84,
            132,
            `How many straight cuts across give ${text(d, 'total')} pieces? Why?`,
            String(Number(text(d, 'total')) - 1),
            {
              numbers: [text(d, 'total')],
            },
          ),
        ]
      : []),
    ...(one
      ? [
          say(
            'open',
            'frac-unit-name',
            60,
            144,
            `What is one of these pieces of ${food} called? How do you know?`,
            partWord(one, locale),
            { parts: [one] },
          ),
        ]
      : [
          say(
            'open',
            'frac-half-object',
            54,
            120,
            'How could we make the pieces fair?',
            'cut so that all are the same',
          ),
        ]),
    ...(given(d, 'leftFraction') && !['0', ''].includes(text(d, 'takenFraction'))
      ? [
          say(
            'focused',
            'frac-add-same',
            78,
            132,
            'Some are eaten. What part is left?',
            text(d, 'leftFraction'),
            { parts: [text(d, 'leftFraction')] },
          ),
        ]
      : []),
  ]
}

export const share: Sayings = (f, d) => {
  const food = wordOf(f, 'food', 'pieces')
  const n = String(f['n'] ?? '')
  if (given(d, 'part'))
    return [
      say(
        'focused',
        'frac-of-set',
        72,
        132,
        `What is ${String(f['fraction'])} of ${n} ${food}?`,
        text(d, 'part'),
        { numbers: [n], parts: [String(f['fraction'])] },
      ),
    ]
  if (given(d, 'bags'))
    return [
      say(
        'focused',
        'div-how-many-fit',
        84,
        132,
        `How many full bags can we make, and how many are spare?`,
        `${text(d, 'bags')}; ${text(d, 'spare')} spare`,
        { numbers: [n] },
      ),
    ]
  const w = String(f['people'] ?? '')
  return [
    say(
      'model',
      'share-one-each',
      18,
      48,
      'One for you, one for you … everyone has one!',
      'gives one to each',
    ),
    say(
      'choice',
      'cmp-more-fewer-same',
      36,
      66,
      'Is that fair, or has somebody more?',
      'looks at the plates',
    ),
    say(
      'focused',
      'share-deal-equal',
      48,
      120,
      `Deal the ${food} out. How many does each get?`,
      text(d, 'left') === '0'
        ? `${text(d, 'each')} each, none left`
        : `${text(d, 'each')} each, ${text(d, 'left')} left`,
      { numbers: [text(d, 'each')] },
    ),
    ...(text(d, 'left') === '0'
      ? []
      : [
          say('focused', 'share-remainder', 72, 132, 'How many are left over?', text(d, 'left'), {
            numbers: [n],
          }),
          say(
            'focused',
            'share-remainder',
            90,
            132,
            'How many more would we need so that none are left over?',
            text(d, 'needed'),
            { numbers: [n] },
          ),
        ]),
    say(
      'open',
      'share-remainder',
      54,
      144,
      `${n} ${food}, and ${w} of us. What would be fair?`,
      text(d, 'left') === '0'
        ? `${text(d, 'each')} each`
        : `${text(d, 'each')} each; the ${text(d, 'left')} left over are cut or kept`,
      { numbers: [n] },
    ),
    ...(f['cuttable'] === true && text(d, 'left') !== '0'
      ? [
          say(
            'open',
            'frac-mixed',
            96,
            144,
            'If we cut them, exactly how much does each get?',
            text(d, 'exactEach'),
            { parts: [text(d, 'exactEach')] },
          ),
        ]
      : []),
  ]
}

/** Counting every place is asked up to 24, and up to 10 under 72 months (learning.md B0). */
export const tin: Sayings = (_, d) => {
  const total = Number(text(d, 'total'))
  const together = [
    say('model', 'count-one-to-one-5', 18, 72, 'One in here, one in here … a whole row!', 'puts one in each'),
    say('choice', 'cap-empty-full', 18, 48, 'Is this place empty, or full?', 'what is seen'),
  ]
  if (total > 24) return together
  const from = (months: number): number => (total > 10 ? Math.max(72, months) : months)
  return [
    ...together,
    say(
      'focused',
      'array-rows-cols',
      from(66),
      120,
      'How many places are there? Count the rows, then one row.',
      String(total),
      { numbers: [total] },
    ),
    ...(given(d, 'empty')
      ? [
          say('focused', 'take-within-10', from(54), 108, 'How many are still empty?', text(d, 'empty'), {
            numbers: [total],
          }),
        ]
      : []),
    say(
      'open',
      'array-rows-cols',
      96,
      144,
      `Which other rows and columns would hold ${total}?`,
      (d['pairs'] as string[]).join(', '),
      {
        numbers: [total],
      },
    ),
    ...(given(d, 'fraction') && !['0', '1'].includes(text(d, 'fraction'))
      ? [
          say('open', 'frac-of-set', 84, 144, 'What part of the tin is filled?', text(d, 'fraction'), {
            parts: [text(d, 'fraction')],
          }),
        ]
      : []),
  ]
}
