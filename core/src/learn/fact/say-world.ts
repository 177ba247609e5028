/** What to say of weight, time, money, heat, votes and order. In our own words; targets and ages: learning.md A and B1 (from memory). */
import { ratio } from '../../amount/ratio'
import { wordOf } from './fields'
import { coins, given, improper, say, text, type Sayings } from './saying'

export const timer: Sayings = (f, d) => [
  say('model', 'count-back-10', 18, 60, 'Five, four, three, two, one: stop!', 'joins in; stops'),
  say(
    'choice',
    'time-sequence',
    24,
    60,
    'Is it ready now, or do we wait?',
    text(d, 'leftMinutes') === '0' ? 'ready' : 'we wait',
  ),
  say('focused', 'time-timer', 66, 120, 'How many minutes are still to go?', text(d, 'leftMinutes'), {
    numbers: [text(d, 'leftMinutes')],
  }),
  ...(given(d, 'start')
    ? [
        say(
          'open',
          'time-elapsed',
          96,
          144,
          `It must be done at ${String(f['end'])}. When is the latest to begin?`,
          text(d, 'start'),
        ),
      ]
    : given(d, 'end')
      ? [
          say(
            'open',
            'time-elapsed',
            90,
            144,
            `It goes in at ${String(f['start'])}. When does it come out?`,
            text(d, 'end'),
          ),
        ]
      : [say('open', 'time-sequence', 42, 144, 'What may change while we wait?', 'any idea')]),
]

export const compare: Sayings = (f, d) => [
  say('model', 'cmp-more-lots', 12, 42, 'Lots here … and only a few there.', 'looks from one to the other'),
  say('choice', 'cmp-more-fewer-same', 30, 72, 'Which has more, this one or that one?', text(d, 'more')),
  say('focused', 'cmp-difference', 66, 120, 'How many more is that?', text(d, 'difference'), {
    numbers: [text(d, 'difference')],
    parts: [text(d, 'difference')],
  }),
  ...(given(d, 'times')
    ? [
        say('open', 'ratio-parts', 102, 144, 'How many times as much is it?', text(d, 'times'), {
          parts: [text(d, 'times')],
        }),
      ]
    : []),
  say(
    'open',
    'cmp-more-fewer-same',
    42,
    144,
    `What is the same about them, and what is different?`,
    `one of each; ${wordOf(f, 'attribute', 'amount')} is one way`,
  ),
]

export const price: Sayings = (_, d, locale) => [
  say(
    'model',
    'money-coins',
    36,
    72,
    'This is a coin. We pay with it: here you are, thank you!',
    'gives and takes',
  ),
  say(
    'choice',
    'money-coins',
    48,
    84,
    'Does it cost more than one pound, or less?'.replace('pound', locale === 'en-US' ? 'dollar' : 'pound'),
    ratio(improper(text(d, 'cost'))).compare(100) > 0 ? 'more' : 'less',
  ),
  say(
    'focused',
    'money-unit-cost',
    108,
    144,
    'What does the part that we used cost?',
    coins(text(d, 'cost'), locale),
  ),
  ...(given(d, 'perServing')
    ? [
        say(
          'focused',
          'money-unit-cost',
          102,
          144,
          'And for each of us?',
          coins(text(d, 'perServing'), locale),
        ),
      ]
    : []),
  ...(given(d, 'change')
    ? [say('focused', 'money-change', 96, 144, 'How much do we get back?', coins(text(d, 'change'), locale))]
    : []),
  say(
    'open',
    'money-unit-cost',
    102,
    144,
    'Is it cheaper to make it or to buy it? How can we find out?',
    'work both out for the same amount',
  ),
]

export const temp: Sayings = (_, d) => [
  say('model', 'temp-hot-cold', 12, 60, 'Cold hands … warm water … ahh.', 'feels, or says warm'),
  say('choice', 'temp-hot-cold', 30, 84, 'Is it hot or cold? Only the adult goes near.', 'what is so'),
  say(
    'focused',
    'temp-read',
    96,
    144,
    'What would the other scale call it?',
    given(d, 'fahrenheit') ? `${text(d, 'fahrenheit')} °F` : `${text(d, 'celsius')} °C`,
  ),
  ...(given(d, 'difference')
    ? [
        say('focused', 'temp-read', 84, 144, 'How many degrees lie between them?', text(d, 'difference'), {
          numbers: [text(d, 'difference')],
        }),
      ]
    : []),
  say('open', 'temp-hot-cold', 60, 144, 'What happens to food when it gets hot?', 'any true change'),
]

export const vote: Sayings = (_, d) => [
  say(
    'model',
    'data-sort',
    24,
    60,
    'Hands up who would like some more! One, two …',
    'puts a hand up, or not',
  ),
  say(
    'choice',
    'data-vote',
    36,
    84,
    'Which tower is taller: this one, or that one?',
    text(d, 'most').includes(', ') ? `they are the same: ${text(d, 'most')}` : text(d, 'most'),
  ),
  ...(given(d, 'fraction') && text(d, 'total') !== '0' && !text(d, 'most').includes(', ')
    ? [
        say(
          'focused',
          'data-chart',
          96,
          144,
          `What part of us chose ${text(d, 'most')}?`,
          text(d, 'fraction'),
          { parts: [text(d, 'fraction')] },
        ),
      ]
    : []),
  ...(text(d, 'difference') !== '0'
    ? [
        say(
          'focused',
          'cmp-difference',
          66,
          108,
          'How many more is the tallest tower than the shortest?',
          text(d, 'difference'),
          { numbers: [text(d, 'total')] },
        ),
      ]
    : []),
  say('focused', 'data-vote', 54, 96, 'How many of us voted?', text(d, 'total'), {
    numbers: [text(d, 'total')],
  }),
  say(
    'open',
    'data-vote',
    48,
    144,
    'What does our picture tell us?',
    `most: ${text(d, 'most')}; fewest: ${text(d, 'fewest')}`,
  ),
]

export const order: Sayings = (_, d) => {
  const [now, before, after] = [text(d, 'step'), text(d, 'before'), text(d, 'after')]
  return [
    say(
      'model',
      'ord-position',
      14,
      48,
      after ? `Now: ${now}. Next: ${after}.` : `Last of all: ${now}.`,
      'joins in',
    ),
    ...(after
      ? [
          say('choice', 'time-sequence', 30, 66, `What is first: “${after}”, or “${now}”?`, now),
          say('focused', 'time-sequence', 42, 96, 'What comes next?', after),
        ]
      : []),
    ...(before ? [say('focused', 'time-sequence', 42, 96, 'What did we do just before this?', before)] : []),
    ...(before
      ? [
          say(
            'open',
            'time-sequence',
            60,
            144,
            `Why does “${before}” come before “${now}”?`,
            'any reason that fits',
          ),
        ]
      : []),
    say(
      'open',
      'time-sequence',
      54,
      144,
      'Tell a friend how we make it: first, next, then, last.',
      'the steps in order',
    ),
  ]
}

export const weigh: Sayings = (f, d) => [
  say(
    'model',
    'meas-weight-feel',
    12,
    48,
    'Ooh, heavy! … And this one: light!',
    'copies the movement or the word',
  ),
  say('choice', 'meas-weight-feel', 24, 66, 'One in each hand: which is the heavy one?', 'the heavier'),
  ...(given(d, 'steps') && !text(d, 'steps').includes('/')
    ? [
        say(
          'focused',
          'scale-read',
          78,
          120,
          `The marks go up in ${String(f['division'])}s. How many marks is it?`,
          text(d, 'steps'),
          { numbers: [text(d, 'steps')] },
        ),
      ]
    : []),
  ...(given(d, 'withBowl')
    ? [
        say(
          'focused',
          'add-within-100',
          84,
          144,
          'What will the scale say with the bowl on it as well?',
          `${text(d, 'withBowl')} g`,
          { numbers: [text(d, 'withBowl')] },
        ),
      ]
    : []),
  say(
    'open',
    'meas-weight-units',
    60,
    144,
    'How could we find out which is heavier?',
    'a guess, and a way to test it',
  ),
]
