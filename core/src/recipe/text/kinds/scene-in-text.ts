/**
 * "Make a face: two blueberries for the eyes, a strawberry for the nose": a picture that is built of food, as a printed recipe says it. Only
 * where the words say that something is made or laid as a thing, and two parts or more of it are known by name.
 */
import { SCENE_PARTS_MOST, SCENE_PIECES_MOST, sceneFault } from '../../kinds/scene'
import type { ScenePart, ScenePlace } from '../../kinds/scene-parts'
import type { RecipeStep } from '../../recipe'
import { linesNamed, type NamedLines } from '../steps/uses'
import { MOST } from '../steps/put-in'

const OF =
  /\b(?:make|build|create|arrange|lay|set|turn|decorate|shape)\b[^.:;!?]{0,60}?\b(?:(?:it|them|this|each|everything|the \w+|a slice|each slice)\s+)?(?:as|into|like|to look like|to make|out to make)?\s*\b(an? (?:[a-z]+ )?(face|clown|cat|dog|bear|rabbit|bunny|mouse|owl|bird|chick|fish|frog|pig|monster|robot|ladybird|ladybug|bee|butterfly|caterpillar|snail|spider|hedgehog|flower|sun|sunflower|tree|boat|car|train|house|rocket|star|snowman|scarecrow|garden|pirate|lion|mask|crown|rainbow))\b/i

/** Parts of pictures by name: where they lie, and how many there are where the words do not say it. Common practice. */
const PARTS: readonly [string, ScenePlace, number][] = [
  ['eyes?|ears?|cheeks?|wings?|arms?|hands?|eyebrows?|feelers?|antennae', 'pair', 2],
  ['legs|feet|paws|fins|wheels|windows|whiskers', 'pair', 4],
  ['nose|snout|beak|body|belly|tummy|head|middle|centre|center|heart|trunk|hull', 'middle', 1],
  ['hair|hat|roof|comb|mast|sail|flag|fringe|leaves|chimney', 'top', 3],
  ['mouth|smile|chin|beard|tie|bow|collar|stem|stalk|tail|grass|ground|sea|water|road', 'bottom', 1],
  ['petals|rays|mane|sunbeams|spikes|spines|prickles', 'ring', 8],
  ['spots|dots|freckles|buttons|seeds|flowers|apples|scales', 'spots', 5],
  ['stripes|carriages|segments|bricks', 'row', 4],
]
const NAMES = PARTS.map(([words]) => words).join('|')
/** What it is made of, and what of: "two blueberries for the eyes". */
const OF_FOOD = new RegExp(
  String.raw`([^,;:.!?]{2,60}?)\s+(?:for|as|to make|to be)\s+(?:the |its |his |her |their |an? )?(?:two |three |four |five |six |\d+ )?(${NAMES})\b`,
  'gi',
)
const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight']
/** "two blueberries": the number that stands before the food; a single thing is one. */
function countIn(words: string): number | null {
  const found =
    /\b(an?|one|two|three|four|five|six|seven|eight|\d{1,2})\b(?! (?:slices? of|handful|bit|little))/i.exec(
      words,
    )
  const word = found?.[1]?.toLowerCase()
  if (word === undefined) return null
  return /^an?$/.test(word) ? 1 : NUMBERS.indexOf(word) + 1 || Number(word)
}

/** The parts that a step's words name, each of foods that go in. */
function partsIn(says: string, named: NamedLines): ScenePart[] {
  const parts: ScenePart[] = []
  for (const [, food = '', word = ''] of says.matchAll(OF_FOOD)) {
    const what = word.toLowerCase()
    const row = PARTS.find(([words]) => new RegExp(`^(?:${words})$`).test(what))
    const lines = [...new Set(linesNamed(food, named).map((l) => l.id))]
    if (!row || lines.length === 0 || parts.some((p) => p.what === what)) continue
    const [, at, usual] = row
    const n = Math.min(SCENE_PIECES_MOST, countIn(food) ?? usual)
    const taken = parts.some((p) => p.lines.length > 1 && p.lines.some((l) => lines.includes(l)))
    parts.push({
      what,
      at: at === 'pair' && n % 2 !== 0 ? 'middle' : at,
      n,
      // What stands in for one part fills no other.
      lines: taken ? lines.slice(0, 1) : lines.slice(0, 6),
    })
  }
  return parts.slice(0, SCENE_PARTS_MOST)
}

/** The step with the picture that its words say is built of it; the step as it is where they say none. */
export function putScene(
  step: RecipeStep,
  before: RecipeStep | undefined,
  named: NamedLines,
  notes: string[],
): RecipeStep {
  // "Build a ladybird on each slice. Put a strawberry for the body …" may be two steps.
  const of = [step, before]
    .map((s) => OF.exec(s?.says ?? '')?.[1]?.toLowerCase())
    .find((x) => x !== undefined)
  if (of === undefined || step.scene) return step
  const parts = partsIn(step.says ?? '', named)
  if (parts.length < 2) return step
  const more = [...new Set(parts.flatMap((p) => p.lines))].filter((l) => step.uses.every((u) => u.line !== l))
  const uses = [...step.uses, ...more.map((line) => ({ line, part: '1' }))]
  const scene = { of: of.slice(0, 40), on: 'round' as const, parts }
  if (
    sceneFault(
      scene,
      uses.map((u) => u.line),
    ) !== null
  )
    return step
  notes.push(`a picture of food: ${of}`)
  const lays = step.tasks.some((t) => t.technique === 'arrange' && t.mode === 'EACH')
  return {
    ...step,
    uses,
    scene,
    tasks: lays || step.tasks.length >= MOST.tasks ? step.tasks : [...step.tasks, LAYS],
  }
}
/** Each builds its own. */
const LAYS = { technique: 'arrange', mode: 'EACH' as const, seconds: 90 }
