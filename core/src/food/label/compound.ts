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
    stem: /nuss$|nusse|nuts?$|nusskern/,
    ids: ['tree-nuts'],
    but: /muskat|kokos|erdnuss|haselnuss|walnuss|coconut|doughnut|donut|peanut|butternut/,
  },
  { stem: /sesam|tahin/, ids: ['sesame'] },
  { stem: /soya|soja|^soy|tofu/, ids: ['soya'] },
  { stem: /seller|celer/, ids: ['celery'] },
  { stem: /mustard|senf|moutard/, ids: ['mustard'] },
  { stem: /sulphit|sulfit|schwefeldiox/, ids: ['sulphites'] },
  { stem: /lupin/, ids: ['lupin'] },
  { stem: /garnele|shrimp|prawn/, ids: ['prawn'] },
  { stem: /krebs|crustac|lobster|hummer/, ids: ['crustaceans'] },
  { stem: /fisch|fish|lachs|thunf|anchov|sardell/, ids: ['fish'], but: /fischer|selfish|shellfish/ },
  { stem: /muschel|mollus|oyster|calamar/, ids: ['molluscs'] },
  { stem: /coconut|kokos/, ids: ['coconut'] },
  { stem: /gelatin/, ids: ['gelatine', 'meat-alpha-gal'] },
]

/** The ids inside a word that Lea does not know as a whole, or null. */
export function compoundIds(word: string): { ids: string[]; note: string } | null {
  if (word.length < 5) return null
  const ids = STEMS.filter((s) => s.stem.test(word) && !s.but?.test(word)).flatMap((s) => s.ids)
  return ids.length > 0 ? { ids: [...new Set(ids)], note: 'part of this word' } : null
}
