/**
 * What a food that nobody described is when it comes raw, by the words of its name. Safe order: an animal word makes it raw unless another
 * word says that it is cooked, cured, or a thing made of it. Common practice, from memory.
 */

/** Raw foods that nobody tastes and that decide the order of work. */
export const RAW_KINDS = ['egg', 'poultry', 'mince', 'meat', 'fish', 'flour'] as const
export type RawKind = (typeof RAW_KINDS)[number]

const KINDS: readonly { kind: RawKind; words: RegExp }[] = [
  { kind: 'egg', words: /\b(?:eggs?|egg ?yolks?|egg ?whites?|yolks?)\b/ },
  {
    kind: 'mince',
    words:
      /\b(?:mince(?:d)?|ground (?:beef|pork|lamb|turkey|chicken|meat)|burgers?|patt(?:y|ies)|meatballs?|koftas?|kebabs?|sausage ?meat|sausages?|chipolatas?|chorizo|black pudding|bangers?|bratwursts?|merguez|cevapcici)\b/,
  },
  {
    kind: 'poultry',
    words:
      /\b(?:chicken|turkey|duck|goose|poultry|poussin|quail(?! eggs?| s eggs?)|guinea fowl|pheasant|partridge|pigeon|grouse|drumsticks?|wings?|hen)\b/,
  },
  {
    kind: 'fish',
    words:
      /\b(?:fish|prawns?|shrimps?|scampi|langoustines?|lobsters?|crabs?|crayfish|mussels?|clams?|oysters?|scallops?|cockles?|whelks?|squids?|calamari|octopus|cuttlefish|cod|haddock|salmon|trout|tuna|mackerel|plaice|sole|halibut|turbot|bass|bream|monkfish|mullet|hake|coley|pollock|pollack|whiting|sardines?|sprats?|whitebait|herrings?|kippers?|anchov(?:y|ies)|eels?|skate|tilapia|basa|catfish|snapper|barramundi|swordfish|perch|carp|pike|seafood|shellfish|fillets? of (?:fish|cod|sole))\b/,
  },
  {
    kind: 'meat',
    words:
      /\b(?:beef|veal|lamb|mutton|hogget|pork|ham hocks?|gammon|bacon|pancetta|lardons?|venison|goat (?:meat|leg|shoulder)|rabbit|hare|boar|bison|ostrich|kangaroo|liver|kidneys?|heart|tripe|tongue|oxtail|ribs?|chops?|steaks?|brisket|shanks?|cutlets?|escalopes?|tenderloin|sirloin|rump|joint of meat|meat)\b/,
  },
]

/** Wherever they stand, they say that it is cooked, cured, or no meat at all. Smoked bacon and smoked haddock are raw. */
const NOT_RAW = new RegExp(
  `\\b(?:${[
    'cooked|pre ?cooked|ready to eat|leftover|roasted|tinned|canned|hard ?boiled|boiled|scrambled|pickled|potted',
    'smoked (?:salmon|mackerel|trout|ham|turkey|chicken|duck|eel)|jerky|biltong|salami|pepperoni|prosciutto|parma ham',
    'pastrami|corned|pates?|terrine|hot dogs?|frankfurters?|surimi|scotch eggs?|(?:meat|egg|fish) free',
    'meatless|vegan|vegetarian|veggie|plant ?based|mycoprotein|mock|substitutes?|replacers?',
    '(?:soya?|tofu|jackfruit) (?:mince|chunks|pieces|protein|burgers?|sausages?)',
  ].join('|')})\\b`,
)
/** Names of other things, taken out before the words are read: "mince with kidney beans" is mince. */
const OTHER_THINGS = new RegExp(
  `\\b(?:${[
    '(?:chocolate|sugared|candy|easter|mini) eggs?|gummy \\w+|kidney beans?|beef(?:steak)? tomato(?:es)?|egg ?plants?',
    '(?:palm|artichoke|celery|lettuce|gem) hearts?|hearts? of palm|oyster mushrooms?|fish mint|steak ?cut \\w+',
    '(?:hen|chicken) of the woods|(?:pork )?scratchings|goldfish|jelly ?fish',
  ].join('|')})\\b`,
  'g',
)
/** What is made of it, as the last word: fish sauce, chicken stock pots, egg noodles. "Chicken in sauce" is chicken. */
const MADE_OF_IT =
  /\b(?:stock|broth|bouillon|gravy|sauce|paste|powder|oil|dripping|fat|lard|seasoning|spice|rub|flavou?ring|crisps?|crackers?|noodles?|pasta|soup|omelettes?|salad|sandwich(?:es)?|pies?|rolls?|custard|gelatine?)(?: (?:cubes?|pots?|granules|mix|powder|jelly))?\s*$/

/** @returns null where no animal word stands in the name, or where a word says that it is not raw */
export function rawKindByName(name: string): RawKind | null {
  const words = ` ${name
    .toLowerCase()
    .replace(/[’'`]/g, ' ')
    .replace(/[-‐‑_]/g, ' ')
    .replace(/\s+/g, ' ')} `.replace(OTHER_THINGS, ' ')
  const saysRaw = /\b(?:raw|uncooked)\b/.test(words)
  if (!saysRaw && (NOT_RAW.test(words) || (MADE_OF_IT.test(words) && !/ (?:in|with) /.test(words))))
    return null
  return KINDS.find((k) => k.words.test(words))?.kind ?? null
}
