/** What to say of amounts: scoops, jugs, weights, a recipe made larger. In our own words; targets and ages: learning.md A and B1 (from memory). */
import { ratio, toMixed } from '../../amount/ratio'
import { amountOf, wholeOf, wordOf, type PlainFact } from './fields'
import { measureOf, unitText, withUnit } from './measured'
import { given, improper, partWord, plural, say, text, type Sayings } from './saying'

/** The scoop as the question names it: "1/4 cup", or with the unit that the measure brings ("1 tsp"). */
const scoopText = (f: PlainFact, unit: string): string => {
  const measure = String(f['measure'] ?? '')
  return /[a-z]$/i.test(measure.trim()) ? measure : `${measure} ${unitText(unit, ratio(improper(measure)))}`
}
const withUnitText = (mixed: string, unit: string): string =>
  `${mixed} ${unitText(unit, ratio(improper(mixed)))}`.trim()

/** Counting scoops is asked where the count is whole and 12 at most; else only what is honest (learning.md B0, B3). */
export const scoop: Sayings = (f, d) => {
  const unit = wordOf(f, 'unit', 'cup')
  const food = wordOf(f, 'food', 'it')
  const n = text(d, 'scoops')
  const target = withUnitText(toMixed(amountOf(f, 'target')), unit)
  const measure = scoopText(f, unit)
  // A drink is poured, and is full or not: only what is dry is levelled.
  const pours = f['pours'] === true
  const together = [
    say(
      'model',
      'count-recite-5',
      14,
      60,
      pours
        ? 'Pour, stop, tip it in: one! Count the next with me.'
        : 'Scoop, level, tip: one! Count the next with me.',
      'tips; any sound counts',
    ),
    say(
      'choice',
      'cap-count-scoops',
      30,
      84,
      pours
        ? `Is this measure of ${food} full, or only half full?`
        : `Is this scoop of ${food} level, or heaped?`,
      pours ? 'full is the fair one' : 'level is the fair one',
    ),
  ]
  if (d['whole'] !== true)
    return [
      ...together,
      say(
        'open',
        'frac-divide',
        108,
        144,
        `Do whole scoops of ${measure} make exactly ${target}? Why not?`,
        `no: it would take ${n}; choose another measure`,
        { parts: [n] },
      ),
    ]
  if (Number(n) > 12) return together
  const equal = (d['equivalents'] as string[]).find((e) => e.includes(' + '))
  const k = wholeOf(f, 'k', '0')
  const asked = [
    ...together,
    say(
      'focused',
      'cap-count-scoops',
      42,
      72,
      `Count the scoops of ${food} as they go in. How many?`,
      plural(n, 'scoop'),
      {
        numbers: [n],
      },
    ),
    say(
      'focused',
      'cap-count-scoops',
      60,
      144,
      `How many scoops of ${measure} make ${target}? Count them in.`,
      plural(n, 'scoop'),
      { numbers: [n], parts: [measureOf(f, unit).toFraction()] },
    ),
    say(
      'open',
      'frac-unit-compare',
      96,
      144,
      'If the scoop were half as big, how many would it take? Why?',
      `${2 * Number(n)} instead of ${n}: a smaller scoop, more of them`,
      { numbers: [2 * Number(n)] },
    ),
    ...(equal
      ? [
          say(
            'open',
            'frac-equiv-family',
            96,
            144,
            `Which other measures could make ${withUnitText(k > 0 ? text(d, 'running') : toMixed(amountOf(f, 'target')), unit)}?`,
            equal,
            { parts: [k > 0 ? text(d, 'running') : toMixed(amountOf(f, 'target'))] },
          ),
        ]
      : []),
  ]
  if (k === 0) return asked
  return [
    ...asked,
    ...(k > 1
      ? [
          say(
            'focused',
            'card-how-many-5',
            44,
            66,
            'How many scoops are in now? Say the last number.',
            String(k),
            { numbers: [k] },
          ),
        ]
      : []),
    say(
      'focused',
      'count-in-fractions',
      84,
      144,
      `${plural(k, 'scoop is', 'scoops are')} in. How much is that?`,
      withUnitText(text(d, 'running'), unit),
      { numbers: [k], parts: [text(d, 'running')] },
    ),
    say(
      'focused',
      'take-within-10',
      54,
      108,
      `${plural(k, 'scoop is', 'scoops are')} in, of ${n}. How many are still to come?`,
      text(d, 'leftScoops'),
      {
        numbers: [n],
      },
    ),
    say(
      'focused',
      'frac-add-same',
      84,
      144,
      'How much is still to go in?',
      withUnitText(text(d, 'left'), unit),
      { parts: [text(d, 'left')] },
    ),
  ]
}

/**
 * A fill word is asked only where it is plain to see: exactly empty, half or full, or more than 3 % of the jug from a border;
 * and a question that names its choices only where the true one is among them (learning.md B0).
 */
export const jug: Sayings = (_, d, locale) => {
  const fill = text(d, 'fillWord')
  const share = ratio(improper(text(d, 'fraction')))
  const exact = ['empty', 'half full', 'full'].includes(fill)
  const plain = ['0', '1/2', '1'].every((border) => share.sub(border).abs().compare('3/100') > 0)
  return [
    say('model', 'cap-empty-full', 12, 48, 'Pour … and stop! See where it stands.', 'looks, or says stop'),
    ...(fill === 'empty' || fill === 'full'
      ? [say('choice', 'cap-empty-full', 20, 48, 'Is it empty, or full?', fill)]
      : []),
    ...(!exact && plain
      ? [say('choice', 'cap-half-full', 48, 84, 'Is it more than half full, or less than half full?', fill)]
      : []),
    ...(exact
      ? [say('focused', 'cap-half-full', 48, 84, 'Empty, half full or full: which is it?', fill)]
      : []),
    say('focused', 'cap-units', 84, 132, 'How much more until it is full?', text(d, 'toFill'), {
      numbers: [text(d, 'toFill')],
    }),
    say(
      'open',
      'frac-unit-name',
      84,
      144,
      'What part of it is full, and how can you tell?',
      partWord(text(d, 'fraction'), locale),
      {
        parts: [text(d, 'fraction')],
      },
    ),
  ]
}

/** More or fewer people: the showing and the choice follow the factor, so that they are true. */
export const scale: Sayings = (f, d) => {
  const order = ratio(improper(text(d, 'factor'))).compare(1)
  const change = order > 0 ? 'more' : order < 0 ? 'less' : 'the same'
  const parts = { parts: [text(d, 'factor')] }
  if (given(f, 'ratio'))
    return [
      say(
        'focused',
        'ratio-parts',
        102,
        144,
        `For each ${String(f['ratio']).replace(':', ' parts of one, ')} of the other. How much of the other now?`,
        text(d, 'amount'),
      ),
    ]
  const asked = withUnit(f)
  return [
    say(
      'model',
      'cmp-more-lots',
      24,
      60,
      order > 0
        ? 'More of us today: more goes in!'
        : order < 0
          ? 'Fewer of us today: less goes in.'
          : 'As many of us as ever: just the same goes in.',
      'looks, or says it after',
    ),
    say(
      'choice',
      'scale-double-halve',
      48,
      96,
      `The recipe is for ${String(f['from'])}; we are ${String(f['to'])}. More, or less?`,
      order === 0 ? 'neither: the same' : change,
    ),
    ...(['2', '1/2'].includes(text(d, 'factor'))
      ? [
          say(
            'focused',
            'scale-double-halve',
            60,
            144,
            `What is ${text(d, 'factor') === '2' ? 'double' : 'half of'} ${toMixed(asked.amount)}?`,
            text(d, 'amount'),
            {
              numbers: [asked.amount.mul(2).ceil().toFraction()],
              parts: [toMixed(asked.amount), text(d, 'amount').replace(/ [a-z]+$/i, '')],
            },
          ),
        ]
      : []),
    say(
      'focused',
      'scale-times-n',
      96,
      144,
      `It says ${`${toMixed(asked.amount)} ${unitText(asked.unit, asked.amount)}`.trim()} for ${String(f['from'])}. How much for ${String(f['to'])}?`,
      text(d, 'amount'),
      parts,
    ),
    say(
      'open',
      'ratio-parts',
      102,
      144,
      'What must we do to every line of the recipe, and what stays as it is?',
      `times ${text(d, 'factor')} each; the heat stays, the time mostly`,
      parts,
    ),
  ]
}
