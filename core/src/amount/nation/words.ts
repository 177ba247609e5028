/**
 * The words of a country, in one place: Lea is written in British words, and these stand for them in a setting that speaks American. A text
 * is turned where it is set on a page or a paper, never where it is kept, compared or searched.
 * Source: common usage of both countries, from memory; nouns of food also as in USDA FoodData Central against the UK's McCance and
 * Widdowson, from memory.
 */
import type { Country } from './nations'

/** British to American; the longer first where one begins another. Words that may be a name are turned in small letters only. */
const WORDS: readonly (readonly [string, string])[] = [
  ['wholemeal wheat flour', 'whole wheat flour'],
  ['wholemeal', 'whole wheat'],
  ['plain flour', 'all-purpose flour'],
  ['self-raising flour', 'self-rising flour'],
  ['self-raising', 'self-rising'],
  ['cornflour', 'cornstarch'],
  ['bicarbonate of soda', 'baking soda'],
  ['caster sugar', 'superfine sugar'],
  ['royal icing sugar', 'royal icing mix'],
  ['icing sugar', 'powdered sugar'],
  ['soft brown sugar', 'brown sugar'],
  ['black treacle', 'molasses'],
  ['treacle', 'molasses'],
  ['double cream', 'heavy cream'],
  ['single cream', 'light cream'],
  ['soured cream', 'sour cream'],
  ['skimmed milk', 'skim milk'],
  ['yoghurts', 'yogurts'],
  ['yoghurt', 'yogurt'],
  ['soya beans', 'soybeans'],
  ['soya', 'soy'],
  ['groundnut oil', 'peanut oil'],
  ['monkey nuts', 'peanuts in the shell'],
  ['rapeseed oil', 'canola oil'],
  ['fresh coriander', 'cilantro'],
  ['coriander leaves', 'cilantro leaves'],
  ['courgettes', 'zucchini'],
  ['courgette', 'zucchini'],
  ['aubergines', 'eggplants'],
  ['aubergine', 'eggplant'],
  ['beetroots', 'beets'],
  ['beetroot', 'beets'],
  ['spring onions', 'scallions'],
  ['spring onion', 'scallion'],
  ['mangetout', 'snow peas'],
  ['swede', 'rutabaga'],
  ['sweetcorn', 'corn'],
  ['sweet pepper', 'bell pepper'],
  ['broad beans', 'fava beans'],
  ['rocket', 'arugula'],
  ['sultanas', 'golden raisins'],
  ['prawns', 'shrimp'],
  ['prawn', 'shrimp'],
  ['beef mince', 'ground beef'],
  ['turkey mince', 'ground turkey'],
  ['chicken mince', 'ground chicken'],
  ['lamb mince', 'ground lamb'],
  ['pork mince', 'ground pork'],
  ['soya mince', 'soy crumbles'],
  ['fish fingers', 'fish sticks'],
  ['potato crisps', 'potato chips'],
  ['vegetable crisps', 'vegetable chips'],
  ['frozen chips', 'frozen fries'],
  ['wheat biscuit cereal', 'wheat biscuit cereal'],
  ['ginger nut biscuits', 'gingersnaps'],
  ['sponge finger biscuits', 'ladyfingers'],
  ['plain sweet biscuits', 'plain cookies'],
  ['sweet biscuits', 'cookies'],
  ['biscuits', 'cookies'],
  ['biscuit', 'cookie'],
  ['ice lolly', 'ice pop'],
  ['boiled sweets', 'hard candy'],
  ['gummy sweets', 'gummy candy'],
  ['desiccated coconut', 'dried shredded coconut'],
  ['ground almonds', 'almond meal'],
  ['porridge oats', 'rolled oats'],
  ['porridge', 'oatmeal'],
  ['gelatine', 'gelatin'],
  ['purée', 'puree'],
  ['chilli', 'chili'],
  ['liquorice sweets', 'licorice candy'],
  ['liquorice', 'licorice'],
  ['pitta', 'pita'],
  ['poppadom', 'papadum'],
  ['doughnut', 'donut'],
  ['tomato ketchup', 'ketchup'],
  ['sulphites', 'sulfites'],
  ['sulphite', 'sulfite'],
  ['sulphur dioxide', 'sulfur dioxide'],
  ['unsulphured', 'unsulfured'],
  ['coeliac', 'celiac'],
  ['anaesthetic', 'anesthetic'],
  ['pasteurised', 'pasteurized'],
  ['unpasteurised', 'unpasteurized'],
  ['tinned', 'canned'],
  ['tin opener', 'can opener'],
  // A tin to bake in is a pan, one with food in it a can.
  ['cake tin', 'cake pan'],
  ['loaf tin', 'loaf pan'],
  ['round tin', 'round pan'],
  ['square tin', 'square pan'],
  ['muffin tin', 'muffin pan'],
  ['open a tin', 'open a can'],
  ['tin of', 'can of'],
  ['tins of', 'cans of'],
  ['hobs', 'stovetops'],
  ['hob', 'stovetop'],
  ['the grill', 'the broiler'],
  ['kitchen roll', 'paper towels'],
  ['kitchen paper', 'paper towels'],
  ['baking paper', 'parchment paper'],
  ['greaseproof paper', 'wax paper'],
  ['cling film', 'plastic wrap'],
  ['tea towel', 'dish towel'],
  ['tea towels', 'dish towels'],
  ['washing-up bowl', 'dishpan'],
  ['washing-up', 'dishes'],
  ['wash up', 'wash the dishes'],
  ['baking tray', 'baking sheet'],
  ['food colouring', 'food coloring'],
  ['colouring', 'coloring'],
  ['colours', 'colors'],
  ['colour', 'color'],
  ['flavouring', 'flavoring'],
  ['flavours', 'flavors'],
  ['flavour', 'flavor'],
  ['favourite', 'favorite'],
  ['centre', 'center'],
  ['litres', 'liters'],
  ['litre', 'liter'],
  ['grey', 'gray'],
  ['mould', 'mold'],
  ['savoury', 'savory'],
  ['nursery', 'preschool'],
  ['half term', 'half semester'],
  ['rubbish', 'trash'],
  ['mum', 'mom'],
]
const SMALL_ONLY = new Set(['swede', 'rocket', 'hob', 'hobs', 'nursery', 'mum', 'grey'])

const TABLE = new Map(WORDS)
const FIND = new RegExp(
  `(?<![\\p{L}\\p{N}-])(?:${[...TABLE.keys()].sort((a, b) => b.length - a.length).join('|')})(?![\\p{L}\\p{N}])`,
  'giu',
)
const DAYS = 'Mon|Tues|Wednes|Thurs|Fri|Satur|Sun'
const MONTHS = 'January|February|March|April|May|June|July|August|September|October|November|December'
const DATE = new RegExp(`\\b((?:${DAYS})day) (\\d{1,2}) (${MONTHS})\\b`, 'g')
const BARE_DATE = new RegExp(`\\b(\\d{1,2}) (${MONTHS})(?: (\\d{4}))?\\b`, 'g')

const turned = (found: string): string => {
  const us = TABLE.get(found.toLowerCase())
  if (us === undefined) return found
  const large = found.charAt(0) !== found.charAt(0).toLowerCase()
  if (large && SMALL_ONLY.has(found.toLowerCase())) return found
  if (found.length > 1 && found === found.toUpperCase()) return us.toUpperCase()
  return large ? us.charAt(0).toUpperCase() + us.slice(1) : us
}

/**
 * A text as that country says it: foods, tools and spelling, and days with the month first in the US.
 * @param text one that Lea wrote, in British words; others are left as they are
 */
export function wordsOf(text: string, country: Country): string {
  if (country !== 'us') return text
  return text
    .replace(FIND, turned)
    .replace(DATE, '$1, $3 $2')
    .replace(BARE_DATE, (_, day: string, month: string, year?: string) =>
      year === undefined ? `${month} ${day}` : `${month} ${day}, ${year}`,
    )
}

/** Whether a text holds a word that the other country says otherwise. */
export const isBritish = (text: string): boolean => wordsOf(text, 'us') !== text
