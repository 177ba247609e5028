/**
 * The words of units, and which unit they mean in a reader's system. A cup or spoon is never without its system.
 * Source: NIST Handbook 44 (US), British and Australian practice (measures.md A1), from memory.
 */

/** Whose book it is: US customary, UK, metric (250/15/5), Australian (250/20/5). */
export const SYSTEMS = ['us', 'uk', 'm', 'au'] as const
export type System = (typeof SYSTEMS)[number]

interface Meaning {
  unit: string
  /** How many of the unit one of these is: a decilitre is 100 mL. */
  times?: number
  note?: string
}
const same = (unit: string, times = 1): Record<System, Meaning> => {
  const one: Meaning = times === 1 ? { unit } : { unit, times }
  return { us: one, uk: one, m: one, au: one }
}
const imperialNote = 'imperial, taken from a UK book'

const MEANINGS: Record<string, Record<System, Meaning>> = {
  teaspoon: { us: { unit: 'tsp_us' }, uk: { unit: 'tsp_m' }, m: { unit: 'tsp_m' }, au: { unit: 'tsp_m' } },
  tablespoon: {
    us: { unit: 'tbsp_us' },
    uk: { unit: 'tbsp_m' },
    m: { unit: 'tbsp_m' },
    au: { unit: 'tbsp_au' },
  },
  dessertspoon: same('dsp_m'),
  // Spoons of the continent's books: 15 and 5 mL everywhere. A Swedish kryddmått is 1 mL.
  soupspoon: same('tbsp_m'),
  coffeespoon: same('tsp_m'),
  glassful: same('cup_m'),
  spicespoon: same('mL'),
  cup: {
    us: { unit: 'cup_us' },
    uk: { unit: 'cup_m', note: 'there is no legal UK cup: taken as 250 mL, ask the book' },
    m: { unit: 'cup_m' },
    au: { unit: 'cup_m' },
  },
  fluidounce: {
    us: { unit: 'floz_us' },
    uk: { unit: 'floz_imp' },
    m: { unit: 'floz_imp', note: imperialNote },
    au: { unit: 'floz_imp', note: imperialNote },
  },
  pint: {
    us: { unit: 'pint_us' },
    uk: { unit: 'pint_imp' },
    m: { unit: 'pint_imp', note: imperialNote },
    au: { unit: 'pint_imp', note: imperialNote },
  },
  quart: {
    us: { unit: 'quart_us' },
    uk: { unit: 'pint_imp', times: 2 },
    m: { unit: 'pint_imp', times: 2, note: imperialNote },
    au: { unit: 'pint_imp', times: 2, note: imperialNote },
  },
  stick: {
    us: { unit: 'tbsp_us', times: 8, note: 'a US stick of butter is 8 tbsp' },
    uk: { unit: 'stick' },
    m: { unit: 'stick' },
    au: { unit: 'stick' },
  },
  milliliter: same('mL'),
  centiliter: same('mL', 10),
  deciliter: same('mL', 100),
  liter: same('L'),
  gram: same('g'),
  kilogram: same('kg'),
  ounce: same('oz'),
  pound: same('lb'),
  dozen: same('item', 12),
}

/** Spellings of the units above, lower case, full stops gone. `T` and `t` are told apart before. */
const SPELLINGS: Record<string, string> = Object.fromEntries(
  Object.entries({
    teaspoon: 'teaspoon teaspoons teaspoonful teaspoonfuls tsp tsps ts',
    tablespoon: 'tablespoon tablespoons tablespoonful tablespoonfuls tbsp tbsps tbs tbl tblsp',
    dessertspoon: 'dessertspoon dessertspoons dessertspoonful dessertspoonfuls dsp dssp dstspn',
    cup: 'cup cups cupful cupfuls c',
    fluidounce: 'floz',
    pint: 'pint pints pt pts',
    quart: 'quart quarts qt qts',
    stick: 'stick sticks',
    milliliter: 'ml mls millilitre millilitres milliliter milliliters cc',
    centiliter: 'cl centilitre centilitres centiliter centiliters',
    deciliter: 'dl decilitre decilitres deciliter deciliters',
    liter: 'l ltr lt litre litres liter liters litro litros litri litr litry litra',
    gram: 'g gr gm gms gram grams gramme grammes gramm grammi gramos gramas gramów',
    kilogram: 'kg kgs kilo kilos kilogram kilograms',
    ounce: 'oz ounce ounces',
    pound: 'lb lbs pound pounds',
    dozen: 'dozen doz dutzend dúzia docena',
    soupspoon:
      'el eßl essl esslöffel eßlöffel msk spsk eetlepel eetlepels cucchiaio cucchiai cucharada cucharadas cda cdas łyżka łyżki łyżek yk',
    coffeespoon:
      'tl teel teelöffel tsk theelepel theelepels cucchiaino cucchiaini cucharadita cucharaditas cdta cdtas łyżeczka łyżeczki łyżeczek çk ck',
    glassful: 'szklanka szklanki szklanek',
    spicespoon: 'krm',
  }).flatMap(([name, words]) => words.split(' ').map((w) => [w, name])),
)

/** Words that count things, singular first. The plural ends in -s, or stands beside. */
const COUNTS: Record<string, string> = Object.fromEntries(
  (
    'tin tins can cans dose dosen boîte boîtes lata latas lattina puszka puszki blik burk|' +
    'packet packets pack packs package packages pkg pkgs pkt pkts pck päckchen packung paquet paquets paquete opakowanie paczka pakje paket|' +
    'sachet sachets envelope envelopes sobre bustina bustine saszetka saqueta|jar jars glas słoik|bottle bottles flasche|' +
    'carton cartons|tub tubs|bag bags beutel|box boxes|bunch bunches bund bunde bouquet manojo mazzo pęczek bosje knippe|' +
    'handful handfuls handvoll poignée puñado manciata garść handvol näve|' +
    'pinch pinches prise prisen pincée pincées pizca pizcas pizzico pitada szczypta szczypty snufje nypa nypor|' +
    'dash dashes|drop drops tropfen goutte gouttes gota gotas krople|' +
    'knob knobs|drizzle drizzles|splash splashes schuss|' +
    'clove cloves zehe zehen gousse gousses diente dientes dente dentes spicchio spicchi ząbek ząbki teen teentje klyfta klyftor|' +
    'slice slices scheibe scheiben tranche tranches rebanada rebanadas fetta fette fatia fatias plaster plastry kromka kromki skiva skivor|' +
    'sprig sprigs zweig zweige brin brins|stalk stalks|leaf leaves blatt feuille feuilles hoja hojas foglia foglie liść liście|' +
    'head heads|rasher rashers|sheet sheets|ball balls|cube cubes würfel kostka|wedge wedges|piece pieces stück stücke morceau|' +
    'block blocks|bar bars|scoop scoops|smidgen smidgens|tad tads|loaf loaves|ear ears|fillet fillets|rib ribs|square squares|' +
    'lump lumps|part parts|glug glugs|squeeze squeezes|thumb thumbs|mug mugs|pot pots|punnet punnets|tray trays|dollop dollops|' +
    'grating gratings|grind grinds|twist twists|sprinkle sprinkles sprinkling|spray sprays|shake shakes|strip strips|ring rings|' +
    'segment segments|spear spears|floret florets|round rounds|chunk chunks|becher bechers'
  )
    .split('|')
    .flatMap((row) => {
      const [one = '', ...rest] = row.split(' ')
      return [one, ...rest].map((w) => [w, one])
    }),
)

export interface UnitRead {
  unit: string
  times: number
  note: string
}

/**
 * The unit that a word means in a system, or null where it is no unit.
 * @param word one word as written: case tells `T` (tablespoon) from `t` (teaspoon)
 */
export function unitWord(word: string, system: System): UnitRead | null {
  const bare = word.replace(/\./g, '')
  const lower = bare.toLowerCase()
  const name = bare === 'T' ? 'tablespoon' : bare === 't' ? 'teaspoon' : SPELLINGS[lower]
  if (name !== undefined && Object.hasOwn(SPELLINGS, lower === 't' ? 'tsp' : lower)) {
    const meaning = MEANINGS[name]?.[system]
    if (meaning) return { unit: meaning.unit, times: meaning.times ?? 1, note: meaning.note ?? '' }
  }
  const count = Object.hasOwn(COUNTS, lower) ? COUNTS[lower] : undefined
  return count === undefined ? null : { unit: count, times: 1, note: '' }
}
