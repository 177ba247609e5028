/**
 * Words that run together ("Weizenvollkornmehl", "wheatflour", "Haselnusskerne"): an allergen's stem inside an unknown word.
 * Friends that hold a stem ("Kakaobutter", "Buchweizen") are known phrases and never come here; further ones stand below.
 */
interface Stem {
  stem: RegExp
  ids: string[]
  but?: RegExp
}

const STEMS: Stem[] = [
  { stem: /wheat|weizen|dinkel|spelt/, ids: ['wheat'], but: /buckwheat|buchweizen/ },
  { stem: /roggen/, ids: ['rye'] },
  { stem: /barley|gersten?|malz/, ids: ['barley'] },
  { stem: /^malt(?!o|it|ol)/, ids: ['barley'] },
  { stem: /hafer|oatmeal|^oat/, ids: ['oats'] },
  { stem: /gluten/, ids: ['gluten-cereals'] },
  {
    stem: /flour|mehl|griess|bread|biscuit|pastry/,
    ids: ['wheat'],
    but: /reis|mais|kartoffel|kichererb|buchweiz|soja|rice|corn|maize|potato|gram|fishmehl|breadfruit|mandel/,
  },
  {
    stem: /milk|milch|molke|sahne|rahm|kase$|kase|quark|joghurt|yoghurt|yogurt|casein|kasein|whey|cheese|cream|lactos|laktos|dairy/,
    ids: ['milk'],
    but: /milchsaur|kokosmilch|sojamilch|hafermilch|mandelmilch|reismilch|galactos/,
  },
  { stem: /butter/, ids: ['milk'], but: /kakao|cocoa|shea|peanut|erdnuss|almond|mandel|nuss|butterscotch/ },
  {
    stem: /vollei|eigelb|eiweiss|eiklar|eipulver|huhnerei|^eier|eggs?$|^egg|albumen|yolk|mayonn/,
    ids: ['egg'],
    but: /veg+s?$|eggplant/,
  },
  { stem: /haselnuss|hazelnut/, ids: ['hazelnut'] },
  { stem: /walnuss|walnut/, ids: ['walnut'] },
  { stem: /erdnuss|peanut|groundnut|arachid|cacahu/, ids: ['peanut'] },
  { stem: /mandel|almond|marzipan/, ids: ['almond'] },
  { stem: /cashew|kaju/, ids: ['cashew'] },
  { stem: /pistach|pistazi/, ids: ['pistachio'] },
  { stem: /pecan|pekan/, ids: ['pecan'] },
  { stem: /macadam/, ids: ['macadamia'] },
  {
    stem: /nuss$|nusse|nuts?$|nusskern|noten$|^noten/,
    ids: ['tree-nuts'],
    but: /muskat|kokos|erdnuss|haselnuss|walnuss|coconut|doughnut|donut|peanut|butternut/,
  },
  { stem: /sesam|tahin/, ids: ['sesame'] },
  { stem: /soya|soja|^soy|tofu/, ids: ['soya'] },
  { stem: /sellerie|knollensell|celeri|celery/, ids: ['celery'] },
  { stem: /mustard|senf|moutard/, ids: ['mustard'], but: /hulsenf/ },
  { stem: /sulphit|sulfit|schwefeldiox/, ids: ['sulphites'] },
  { stem: /lupin/, ids: ['lupin'] },
  { stem: /garnele|shrimp|prawn/, ids: ['prawn'] },
  { stem: /krebs|crustac|lobster|hummer/, ids: ['crustaceans'] },
  { stem: /fisch|fish|lachs|thunf|anchov|sardell/, ids: ['fish'], but: /fischer|selfish|shellfish|crayfish/ },
  { stem: /muschel|mollus|oyster|calamar/, ids: ['molluscs'] },
  { stem: /paranuss/, ids: ['brazil-nut'] },
  { stem: /seelachs/, ids: ['pollock'] },
  { stem: /lachs(?!chinken)/, ids: ['salmon'], but: /seelachs|lachsschinken/ },
  { stem: /thunfisch/, ids: ['tuna'] },
  { stem: /pinienkern/, ids: ['pine-nut'] },
  { stem: /melk|kaas|karnemelk|roomb|zuivel/, ids: ['milk'] },
  { stem: /tarwe/, ids: ['wheat'] },
  { stem: /pinda/, ids: ['peanut'] },
  { stem: /hazelno/, ids: ['hazelnut'] },
  { stem: /amandel/, ids: ['almond'] },
  { stem: /coconut|kokos/, ids: ['coconut'] },
  { stem: /gelatin/, ids: ['gelatine', 'meat-alpha-gal'] },
]

/** What a compound is made of beside its allergen: it explains the rest of the word. */
const GLUE =
  /vollkorn|brei|suppe|frucht|misch|sauerteig|natur|land|butter|gewurz|vollmilch|mager|voll|korn|kerne?n?|kernmehl|pulver|eiweiss|protein|fett|extrakt|schrot|flocken|griess|gries|starke|quell|zucker|sirup|creme|mark|mus|ol|oel|saat|samen|salz|stucke?n?|stuckchen|splitter|stifte|blattchen|anteil|zubereitung|erzeugnisse?|produkte?|gehackte?|gerostete?|gemahlene?|haltige?[nrs]?|filets?|sosse|sauce|brot|brotchen|teig|mischung|getrocknete?|kleie|keime?|malz|powder|meal|flour|cake|dust|based?|style|oil|fat|paste|butter|free|solids|fibre|germ|bran|white|whole|wholemeal|mehl|frisch|bio|hart|weich|suss|kuh|ziegen|schaf|hafer|dinkel|roggen|poeder|meel|bloem|zetmeel|eiwit|pasta|noten|alaska|atlantik|rein/g

export interface Compound {
  ids: string[]
  note: string
  /** Letters that nothing explains are left: something else may stand in the word. */
  rest: boolean
}

/** The ids inside a word that Lea does not know as a whole, or null. */
export function compoundIds(word: string): Compound | null {
  if (word.length < 5) return null
  const found = STEMS.filter((s) => s.stem.test(word) && !s.but?.test(word))
  if (found.length === 0) return null
  let rest = word
  for (const { stem } of found) rest = rest.replace(new RegExp(stem.source, 'g'), ' ')
  rest = rest.replace(GLUE, ' ').replace(/\b(s|n|e|en|es|er|r)\b/g, ' ')
  const ids = [...new Set(found.flatMap((s) => s.ids))]
  // Nuts without a kind in a word that nobody knows may be any of them, and peanut.
  const anyNut = ids.join() === 'tree-nuts'
  return {
    ids,
    note: 'part of this word',
    rest: anyNut || rest.split(/\s+/).some((part) => part.length > 2),
  }
}

/** "milchfrei", "glutenvrij", "glutensiz": a claim in one word. @returns the word that the claim is about, or null */
export const claimedBy = (word: string): string | null =>
  /^(.{3,}?)(frei(e[rsnm]?)?|free|vrije?|s[iu]z)$/.exec(word)?.[1]?.replace(/-$/, '') ?? null
