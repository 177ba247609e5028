/** What is asked of the person who reads a recipe in: one short question for each thing that Lea is not sure of. */
import { foodName, isUnknown, type FoodBook } from '../../food/foods'
import { shapeBreach, shapeRow } from '../../food/by-age/choking'
import { isHot, type Recipe, type RecipeLine, type Role } from '../recipe'
import { foodsNamed } from '../../food/food-names'
import { nearFoods } from '../line/food-of-line'
import { headEnd, type LinesRead } from './read-lines'
import { lineKey } from './line-key'
import { BY_ADULT, ONLY_SAID } from './steps/read-steps'
import type { RoleGuess } from './roles'
import { MENTIONED, OUT, type Answers, type LineRead, type ReadQuestion, type Unread } from './understood'

const ROLE_WORDS: Record<Role, string> = {
  structure: 'it gives the body',
  liquid: 'it wets the rest',
  'acid-liquid': 'it is sour, and works with the soda',
  raising: 'it raises',
  binder: 'it holds together',
  glaze: 'it is brushed on top',
  fat: 'fat that is mixed in',
  'fat-rubbed': 'fat that is rubbed in',
  'fat-melted': 'fat that is melted',
  frying: 'for the pan or the tin',
  sweet: 'it sweetens',
  salt: 'it salts',
  seasoning: 'it gives taste',
  topping: 'it goes on top',
  savour: 'it gives a hearty taste',
  moisture: 'it keeps moist',
  dressing: 'it dresses',
  main: 'it is the dish itself',
}
/** What a role means, in a few words. */
export const roleWords = (role: Role): string => ROLE_WORDS[role]

const SYSTEM_WORDS: Record<string, string> = {
  us: 'US: a cup is 237 mL',
  uk: 'UK and metric: a cup is 250 mL',
  m: 'metric: a cup is 250 mL',
  au: 'Australia: a tablespoon is 20 mL',
}

/** Under this age shapes matter: a food that has a rule at it is asked about. */
const SHAPES_UNDER = 36

export function questionsOf(
  recipe: Recipe,
  unread: readonly Unread[],
  roles: ReadonlyMap<string, RoleGuess>,
  foods: FoodBook,
  answers: Answers,
  { read }: Pick<LinesRead, 'read'>,
): ReadQuestion[] {
  const all = [
    ...unread.flatMap((u) => fromUnread(u, recipe)),
    ...recipe.lines.flatMap((l) => foodQuestion(l, foods, read)),
    ...recipe.lines.flatMap((l) =>
      roleQuestion(l, `role:${lineKey(l.id, read)}`, roles.get(l.id), foods, answers),
    ),
    ...recipe.lines.flatMap((l) => shapeQuestion(l, `shape:${lineKey(l.id, read)}`, recipe, foods, answers)),
  ]
  // What may hide an allergen or a danger first; one question for each key.
  const keys = new Set<string>()
  return all
    .filter((q) => !keys.has(q.key) && keys.add(q.key))
    .sort((a, b) => Number(b.must) - Number(a.must))
}

function fromUnread(u: Unread, recipe: Recipe): ReadQuestion[] {
  if (!u.key || !u.kind) return []
  const base = { key: u.key, about: {}, text: u.text }
  const near = (u.choices ?? []).map((answer) => ({ answer, says: answer }))
  const out = { answer: OUT, says: 'Leave it out' }
  const line = { ...base, free: true, must: u.minor !== true }
  switch (u.kind) {
    case 'line':
      return [{ ...line, asks: 'This line could not be read: it ' + u.why, choices: [out] }]
    case 'none':
      return [
        {
          ...line,
          asks: 'No ingredient was found, so nothing could be looked for in anybody’s allergies. What goes in? Several with semicolons between them.',
          choices: [],
        },
      ]
    case 'amount':
      return [{ ...line, asks: 'How much of it?', choices: [...near, out], must: false, taken: 'by eye' }]
    case 'range':
      return [{ ...line, asks: 'Which is it?', choices: near, must: false, taken: near[0]?.says ?? '' }]
    case 'unit':
      return [{ ...line, asks: `How much is that? It ${u.why}.`, choices: [...near, out] }]
    case 'alternative':
      return [
        {
          ...line,
          asks: `Which of them is it? It ${u.why.replace(/^not taken over/, 'says')}.`,
          choices: [...near, out],
        },
      ]
    case 'named':
      return [
        {
          ...line,
          asks: `It ${u.why}. Which line is missing?`,
          choices: [
            ...near.map((c) => ({ answer: c.answer, says: `It goes in: ${c.says}` })),
            { answer: MENTIONED, says: 'It is only mentioned, nothing of it goes in' },
          ],
        },
      ]
    case 'sentence':
      return [
        {
          ...line,
          asks: 'Lea did not read what is done here, and it speaks of heat, a blade, a time or an adult.',
          choices: [
            { answer: BY_ADULT, says: 'An adult does it' },
            { answer: ONLY_SAID, says: 'It is only said: nothing is done' },
          ],
        },
      ]
    case 'system':
      return [
        {
          ...base,
          asks: `Whose cups and spoons are these? Lea takes it: ${u.why}.`,
          choices: (u.choices ?? []).map((answer) => ({ answer, says: SYSTEM_WORDS[answer] ?? answer })),
          free: false,
          must: false,
          ...(u.choices?.[0] !== undefined && { taken: u.choices[0] }),
        },
      ]
    case 'yield':
      return [
        {
          ...base,
          asks: 'For how many children is it?',
          choices: near,
          free: false,
          must: false,
          taken: String(recipe.serves),
        },
      ]
    case 'again':
      return [
        {
          ...base,
          about: { step: u.key.slice('again:'.length) },
          asks: 'How often is it done in all?',
          choices: near,
          free: false,
          must: false,
          taken: '1',
        },
      ]
    case 'unused':
      return [
        {
          ...base,
          about: { line: u.text },
          asks: 'In which step does it go in?',
          choices: recipe.steps
            .filter((s) => s.tasks.every((t) => t.technique !== 'wash-hands') || s.uses.length > 0)
            .map((s) => ({ answer: s.id, says: s.title })),
          free: false,
          must: false,
          ...(u.choices?.[0] !== undefined && { taken: u.choices[0] }),
        },
      ]
  }
}

/**
 * A food that Lea does not know: it may be one of those that its words name, and only who reads it can say so. Until then it is asked about
 * for every concern.
 */
function foodQuestion(line: RecipeLine, foods: FoodBook, read: readonly LineRead[]): ReadQuestion[] {
  const food = foods.of(line.food)
  const from = read.find((r) => r.line === line.id)
  if (!isUnknown(food) || !from) return []
  const words = from.answer ?? from.text
  const head = words.slice(0, headEnd(words)).trim()
  return [
    {
      key: from.key,
      about: { line: line.id },
      text: words,
      asks: `Lea does not know “${food.name}”: it is asked about for every allergy until it is said what it is.`,
      choices: [...new Set([...nearFoods(food.name, foods), ...foodsNamed(food.name, foods)])]
        .slice(0, 4)
        .map((f) => ({
          answer: `${head} ${f.name}`.trim(),
          says: `It is ${f.name}`,
        })),
      free: true,
      must: false,
      settles: { food: line.food, name: food.name },
    },
  ]
}

function roleQuestion(
  line: RecipeLine,
  key: string,
  guess: RoleGuess | undefined,
  foods: FoodBook,
  answers: Answers,
): ReadQuestion[] {
  if (!guess || guess.sure || answers[key] !== undefined) return []
  return [
    {
      key,
      about: { line: line.id },
      text: foodName(foods.of(line.food)),
      asks: `What does it do here? Lea takes it that ${ROLE_WORDS[guess.role]}: ${guess.because}.`,
      choices: [guess.role, ...guess.others].map((r) => ({ answer: r, says: ROLE_WORDS[r] })),
      free: false,
      must: false,
      taken: guess.role,
    },
  ]
}

/** A firm food that is cooked in this recipe: is it soft when it reaches the child? Not answered, it is taken as not. */
function shapeQuestion(
  line: RecipeLine,
  key: string,
  recipe: Recipe,
  foods: FoodBook,
  answers: Answers,
): ReadQuestion[] {
  const food = foods.of(line.food)
  if (line.shape || isUnknown(food) || answers[key] !== undefined) return []
  const breach = shapeBreach(shapeRow(food.shape), [[]], SHAPES_UNDER)
  const cooked = recipe.steps.some((s) => s.tasks.some((t) => isHot(t.place)))
  if (!breach || !cooked || !breach.rule.unless.includes('COOKSOFT')) return []
  return [
    {
      key,
      about: { line: line.id },
      text: food.name,
      asks: 'Is it so soft that it squashes when it reaches the children?',
      choices: [
        { answer: 'COOKSOFT', says: 'Yes, it squashes' },
        { answer: 'no', says: 'No, or not surely' },
      ],
      free: false,
      must: false,
      taken: 'no',
    },
  ]
}
