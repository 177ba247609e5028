/** What to say of patterns and shapes. In our own words; targets and ages: learning.md A and B1 (from memory). */
import { listOf, wordOf, type PlainFact } from './fields'
import { given, say, text, type Sayings } from './saying'

/** A row of two kinds from 30 months, of three from 48, of four from 84; a row that grows from 84 (learning.md B0). */
const coreFrom = (length: number): number => (length <= 2 ? 30 : length === 3 ? 48 : 84)

export const layer: Sayings = (f, d) => {
  if (given(d, 'next'))
    return [
      say('focused', 'pat-predict', 84, 132, 'How many come in the next row?', text(d, 'next'), {
        numbers: [text(d, 'next')],
      }),
      say(
        'open',
        'pat-predict',
        84,
        144,
        'How does it grow? How can you tell?',
        `by ${text(d, 'by')} each time`,
        {
          numbers: [text(d, 'next')],
        },
      ),
    ]
  const core = listOf(f, 'core')
  const [a = '', b = a] = core
  const from = coreFrom(core.length)
  const counts = d['counts'] as Record<string, string>
  return [
    say(
      'model',
      'pat-copy-ab',
      20,
      48,
      `${core.join(', ')}, ${core.join(', ')}: clap along!`,
      'joins the rhythm',
    ),
    ...(a === b ? [] : [say('choice', 'pat-copy-ab', from, 66, `After ${a}: ${b}, or ${a}?`, b)]),
    say('focused', 'pat-core', Math.max(48, from), 96, 'Which part comes again and again?', core.join(', ')),
    say('focused', 'group-equal', 66, 108, `How many times does ${a} come in all?`, counts[a] ?? '', {
      numbers: [text(d, 'total')],
    }),
    ...(text(d, 'item')
      ? [
          say(
            'focused',
            'ord-position',
            Math.max(60, from),
            120,
            `Which is number ${String(f['i'])}?`,
            text(d, 'item'),
            {
              numbers: [String(f['i'])],
            },
          ),
          say(
            'open',
            'pat-predict',
            Math.max(84, from),
            144,
            `What is number ${String(f['i'])}? How can you tell without building it?`,
            text(d, 'item'),
            {
              numbers: [String(f['i'])],
            },
          ),
        ]
      : []),
    ...(d['error']
      ? [
          say(
            'focused',
            'pat-core',
            Math.max(48, from),
            96,
            'One is out of place on purpose. Can you find it and mend it?',
            `number ${(d['error'] as { at: string; belongs: string }).at}: ${(d['error'] as { belongs: string }).belongs} belongs there`,
          ),
        ]
      : []),
  ]
}

const aShape = (f: PlainFact): string => {
  const name = wordOf(f, 'shape', 'shape')
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`
}

export const shape: Sayings = (f, d) => [
  say('model', 'shape-name', 18, 48, `Round the edge with your finger: ${aShape(f)}!`, 'traces it'),
  say('choice', 'shape-name', 30, 72, `Is it ${aShape(f)}, or something else?`, aShape(f)),
  say('focused', 'shape-name', 54, 108, 'How many corners has it?', text(d, 'corners'), {
    numbers: [text(d, 'corners')],
  }),
  say(
    'open',
    'sym-lines',
    78,
    144,
    'Where could we fold it so that both sides match? How many ways?',
    text(d, 'symmetry'),
  ),
]
