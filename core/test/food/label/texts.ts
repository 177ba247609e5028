/**
 * Label texts written for these tests: brandless, invented, of real difficulty. `contains` and `may` are the regulated ids by
 * the rules of EU 1169/2011 and FDA practice (from memory), each specific id with its group; `asks` are words that must be
 * among those to ask about; `extras` must be among the extras.
 */
export interface LabelCase {
  text: string
  contains?: string
  may?: string
  free?: string
  asks?: string[]
  extras?: string
}
const W = 'gluten-cereals wheat'

export const ENGLISH: LabelCase[] = [
  {
    text: 'Mill sliced wholemeal, 800 g. Ingredients: Wholemeal WHEAT Flour, Water, Yeast, Salt, WHEAT Gluten, Rapeseed Oil, Emulsifiers (E471, E472e), SOYA Flour, Flour Treatment Agent (Ascorbic Acid). May contain traces of milk and sesame seeds.',
    contains: `${W} soya`,
    may: 'milk sesame',
  },
  {
    text: 'Shortcrust pastry: Wheat Flour (Wheat Flour, Calcium Carbonate, Iron, Niacin, Thiamin), Vegetable Oils (Palm, Rapeseed), Water, Salt',
    contains: W,
  },
  {
    text: 'INGREDIENTS: SUGAR, COCOA BUTTER, WHOLE MILK POWDER, COCOA MASS, EMULSIFIER: SOYA LECITHIN, NATURAL VANILLA FLAVOURING. MAY CONTAIN NUTS AND WHEAT.',
    contains: 'milk soya',
    may: `tree-nuts ${W}`,
    asks: ['NUTS'],
  },
  {
    text: 'Tomato purée (tomatoes 78%), spirit vinegar, sugar, salt, spice and herb extracts (contain celery)',
    contains: 'celery',
    extras: 'tomato',
  },
  {
    text: 'Vegetable stock cube: salt, maize starch, yeast extract, vegetable fat, sugar, vegetables 4% (onion, carrot, leek, CELERY), flavourings (contain BARLEY), turmeric',
    contains: 'celery gluten-cereals barley',
    asks: ['vegetable fat'],
  },
  {
    text: 'Oat drink. Water, OATS (10%), rapeseed oil, calcium carbonate, salt, vitamins. Made in a facility that also handles nuts and soya.',
    contains: 'gluten-cereals oats',
    may: 'tree-nuts soya',
  },
  {
    text: 'Hummus: cooked chickpeas, tahini (SESAME) 16%, lemon juice, garlic, salt',
    contains: 'sesame',
    extras: 'chickpea citrus',
  },
  {
    text: 'Green pesto: sunflower oil, basil 30%, cashew nuts 8%, hard cheese (milk, salt, rennet, EGG lysozyme), pine kernels, garlic',
    contains: 'milk tree-nuts cashew egg pine-nut',
  },
  {
    text: 'Mayonnaise: rapeseed oil, water, pasteurised free range EGG & EGG yolk 8%, spirit vinegar, sugar, salt, concentrated lemon juice, MUSTARD seeds, paprika extract',
    contains: 'egg mustard',
  },
  {
    text: 'Worcester-style sauce: malt vinegar (from BARLEY), spirit vinegar, molasses, sugar, salt, ANCHOVIES (FISH), tamarind extract, onions, garlic, spice, flavouring',
    contains: 'gluten-cereals barley fish anchovy',
    asks: ['spice', 'flavouring'],
  },
  {
    text: 'Crab sticks: surimi 52% (FISH (Alaska pollock), sugar), water, WHEAT starch, EGG white, sugar, soyabean oil, salt, CRUSTACEAN extract (CRAB)',
    contains: `fish pollock ${W} egg crustaceans crab`,
    asks: ['soyabean oil'],
  },
  {
    text: 'Fish fingers: COD (FISH) 58%, breadcrumb coating (WHEAT flour, water, starch, salt, yeast), rapeseed oil',
    contains: `cod fish ${W}`,
  },
  {
    text: 'Oyster sauce: water, sugar, salt, OYSTER extract (MOLLUSC) 5%, modified starch, colour: caramel',
    contains: 'molluscs oyster',
    asks: ['modified starch'],
  },
  {
    text: 'Dried apricots (99.6%), preservative: SULPHUR DIOXIDE',
    contains: 'sulphites',
    extras: 'stone-fruit',
  },
  {
    text: 'Apple juice from concentrate, antioxidant E224 (sulphites)',
    contains: 'sulphites',
    extras: 'apple',
  },
  {
    text: 'Gluten free flour blend: rice flour, potato starch, tapioca, maize starch, LUPIN flour',
    contains: 'lupin',
  },
  {
    text: 'Gluten-free bread: water, maize starch, EGG white, rice flour, psyllium husk, yeast, rapeseed oil, gluten-free WHEAT starch',
    contains: `egg ${W}`,
  },
  {
    text: 'Coconut milk 60%, water, guar gum. Contains SULPHITES.',
    contains: 'sulphites',
    extras: 'coconut',
  },
  {
    text: 'Powdered coconut milk: coconut milk, maltodextrin, sodium caseinate (MILK)',
    contains: 'milk',
    extras: 'coconut',
  },
  {
    text: 'Peanut butter: roasted PEANUTS 95%, palm oil, cane sugar, sea salt. May also contain other nuts and sesame.',
    contains: 'peanut',
    may: 'tree-nuts sesame',
  },
  {
    text: 'Sunflower seed butter. Packed on a line that handles peanut, tree nuts and sesame.',
    may: 'peanut tree-nuts sesame',
    extras: 'sunflower-seed',
  },
  {
    text: 'Vegan block: vegetable oils (coconut, rapeseed, shea), water, salt, lecithin, natural flavouring',
    asks: ['lecithin', 'natural flavouring'],
    extras: 'coconut shea',
  },
  {
    text: 'Soya yogurt: soya base (water, hulled SOYA beans 10.7%), sugar, tricalcium citrate, cultures',
    contains: 'soya',
  },
  {
    text: 'Soft cheese style: water, coconut oil, ALMONDS 12%, modified potato starch, salt',
    contains: 'tree-nuts almond',
  },
  {
    text: 'Custard powder: cornflour, salt, colour: annatto norbixin, flavouring',
    asks: ['flavouring'],
    extras: 'maize annatto',
  },
  { text: 'Baking powder: raising agents (E450, E500), starch', asks: ['starch'] },
  {
    text: 'Jelly cubes: glucose syrup, sugar, water, beef gelatine, citric acid, flavourings, colour: E120',
    asks: ['flavourings'],
    extras: 'gelatine cochineal',
  },
  {
    text: 'Marshmallows. Glucose-fructose syrup, sugar, dextrose, water, pork gelatine, maize starch, flavouring',
    asks: ['flavouring'],
    extras: 'gelatine',
  },
  {
    text: 'Cake sprinkles: sugar, rice flour, glucose syrup (from wheat), coconut oil, colours: E102, E129; glazing agent: shellac',
    asks: ['glucose syrup (from wheat)'],
  },
  {
    text: 'Curry paste: rapeseed oil, water, spices (coriander, turmeric, cumin, FENUGREEK), salt, tamarind, shrimp paste (CRUSTACEANS)',
    contains: 'crustaceans prawn',
    extras: 'fenugreek',
  },
  { text: 'Soy sauce: water, SOYBEANS, WHEAT, salt', contains: `soya ${W}` },
  {
    text: 'Tamari soya sauce (water, SOYA beans, salt, alcohol). Gluten free.',
    contains: 'soya',
    free: 'gluten-cereals',
  },
  {
    text: 'Granola: OATS 56%, honey, sunflower oil, ALMONDS, pumpkin seeds, desiccated coconut. Not suitable for milk or peanut allergy sufferers due to manufacturing methods.',
    contains: 'gluten-cereals oats tree-nuts almond',
    may: 'milk peanut',
    extras: 'honey coconut',
  },
  {
    text: 'Cornflakes: maize, sugar, BARLEY malt flavouring, salt, iron, vitamins (B2, B3, B6, B12, D)',
    contains: 'gluten-cereals barley',
  },
  {
    text: 'Ice cream: reconstituted skimmed MILK, partially reconstituted WHEY powder (MILK), glucose syrup, coconut oil, dextrose, emulsifier: mono- and di-glycerides of fatty acids',
    contains: 'milk',
  },
  { text: 'Lactose-free cream (MILK), stabiliser: carrageenan', contains: 'milk' },
  { text: 'Cream crackers: WHEAT flour, palm oil, salt, yeast', contains: W },
  { text: 'Buckwheat flakes 100%. May contain gluten.', may: 'gluten-cereals', extras: 'buckwheat' },
  { text: 'Butter beans, water, antioxidant: ascorbic acid', extras: 'bean' },
  { text: 'Oyster mushrooms, chestnut mushrooms, water chestnuts, nutmeg' },
  {
    text: 'Allergy advice: for allergens, including cereals containing gluten, see ingredients in bold. Ingredients: rice, pea protein, salt',
    extras: 'pea',
  },
  { text: 'Contains: Wheat, Milk. Ingredients: enriched flour, whey, sugar', contains: `${W} milk` },
  {
    text: 'Cookies. Made with: enriched bleached flour (wheat flour, niacin, reduced iron), sugar, semisweet chocolate chips (sugar, chocolate, soy lecithin), eggs, natural and artificial flavors. CONTAINS WHEAT, SOY, EGG. Manufactured on equipment that processes peanuts.',
    contains: `${W} soya egg`,
    may: 'peanut',
    asks: ['natural and artificial flavors'],
  },
  {
    text: 'Tortilla: Enriched Bleached Wheat Flour, Water, Vegetable Shortening (Interesterified Soybean Oil), Salt',
    contains: W,
    asks: ['Soybean Oil'],
  },
  {
    text: 'Corn snack: corn masa flour, vegetable oil (sunflower), cheddar cheese (cultured milk, salt, enzymes), whey',
    contains: 'milk',
  },
  {
    text: 'Malted drink: BARLEY (barley malt, barley flour), skimmed MILK powder, sugar, cocoa',
    contains: 'gluten-cereals barley milk',
  },
  { text: 'Marzipan: sugar, ALMONDS 25%, glucose syrup, invert sugar syrup', contains: 'tree-nuts almond' },
  {
    text: 'Trail mix [raisins, {CASHEWS}, <b>pistachios</b>, sunflower seeds]',
    contains: 'tree-nuts cashew pistachio',
  },
  {
    text: 'Chocolate (cocoa mass, sugar, cocoa butter, emulsifier (SOYA lecithin), vanilla), hazelnut paste 12%, [skimmed milk powder (MILK)]',
    contains: 'soya tree-nuts hazelnut milk',
  },
  {
    text: 'Sausages: pork 60%, water, rusk (WHEAT), salt, spices, preservative: sodium METABISULPHITE',
    contains: `${W} sulphites`,
    asks: ['spices'],
  },
  {
    text: 'Vegetable sausage: water, vegetables, textured vegetable protein, egg albumen, methyl cellulose, hydrolysed vegetable protein',
    contains: 'egg',
    asks: ['textured vegetable protein', 'hydrolysed vegetable protein'],
  },
  {
    text: 'Dukkah: hazelnuts, sesame seeds, coriander seed, cumin, salt',
    contains: 'tree-nuts hazelnut sesame',
  },
  {
    text: 'Rice cakes: wholegrain rice 99%, salt. Produced in a bakery where sesame, milk and soya are used.',
    may: 'sesame milk soya',
    extras: 'rice',
  },
  {
    text: 'Muesli base: OAT flakes, WHEAT flakes, BARLEY flakes, RYE flakes, raisins',
    contains: `gluten-cereals oats wheat barley rye`,
  },
  { text: 'Spelt pasta: durum-free spelt flour, water', contains: W },
  { text: 'Goats’ cheese (goat’s MILK, salt, rennet, cultures)', contains: 'milk goat-milk' },
  {
    text: 'Feta: pasteurised sheep’s milk 70%, goats milk, salt, microbial rennet',
    contains: 'milk sheep-milk goat-milk',
  },
  {
    text: 'Salad cream: spirit vinegar, rapeseed oil, water, sugar, MUSTARD, salt, EGG yolks, modified cornflour',
    contains: 'mustard egg',
  },
  { text: 'Vegetable suet: palm oil, WHEAT flour, sunflower oil', contains: W },
  {
    text: 'Shellfish seasoning: salt, seafood extract, spices',
    asks: ['Shellfish', 'seafood', 'spices'],
    contains: 'crustaceans molluscs',
  },
  {
    text: 'Nut free. Dairy free. Ingredients: oats, golden syrup, sunflower oil',
    contains: 'gluten-cereals oats',
    free: 'tree-nuts milk',
  },
  { text: 'Dairy, egg and nut free. Ingredients: rice, salt', free: 'milk egg tree-nuts' },
  {
    text: 'Free from gluten, milk and egg. Rice flour, lupin flour, sugar.',
    contains: 'lupin',
    free: 'gluten-cereals milk egg',
  },
  { text: 'Egg free! Ingredients: wheat flour, dried egg white, sugar', contains: `${W} egg`, free: 'egg' },
  { text: 'Contains no nuts. Our bakery also handles almonds.', may: 'tree-nuts almond', free: 'tree-nuts' },
  {
    text: 'Recipe: No nuts. Ingredients: Cannot guarantee nut free. Factory: Product made in a nut free area, but nuts used elsewhere.',
    may: 'tree-nuts',
    free: 'tree-nuts',
  },
  { text: 'Suitable for nut allergy sufferers. Rice, sugar.' },
  { text: 'Not suitable for coeliacs. Rice, salt.', may: 'gluten-cereals' },
  { text: 'Prawn crackers: tapioca starch, PRAWN 12%, sugar, salt, palm oil', contains: 'crustaceans prawn' },
  { text: 'Halva: tahina 52%, sugar, glucose syrup, soapwort root', contains: 'sesame' },
  {
    text: 'Nougat: sugar, honey, glucose syrup, almonds, egg white',
    contains: 'tree-nuts almond egg',
    extras: 'honey',
  },
  { text: 'Chapati: Atta (wholemeal), water, rapeseed oil, salt', contains: W },
  { text: 'Naan: white flour, water, natural yogurt, black onion seed, ghee', contains: `${W} milk` },
  { text: 'Tinned tuna: TUNA (FISH), vegetable broth (contains SOY), water', contains: 'fish tuna soya' },
  {
    text: 'Falafel: chickpeas, onion, coriander, gram flour, garlic, cumin, sesame seed',
    contains: 'sesame',
    extras: 'chickpea',
  },
  { text: 'Wafers: flour, sugar, palm oil, lecithins (soya), raising agent', contains: `${W} soya` },
  {
    text: 'Gnocchi: potato flakes, rice flour, potato starch, salt. May contain traces of egg, wheat.',
    may: `egg ${W}`,
    extras: 'potato rice',
  },
]

/** Small typing and camera errors, odd spacing, brackets and marks. */
export const DAMAGED: LabelCase[] = [
  {
    text: 'Ingredients: Whaet flour, suger, skimmed m1lk powder, so ya lecithin',
    contains: `${W} milk soya`,
  },
  { text: 'lNGREDIENTS: WHEAT FL0UR, BUTTERMlLK, EGG5', contains: `${W} milk egg` },
  { text: 'Peanvt butter, sesarne seeds, celerry salt', contains: 'peanut sesame celery' },
  { text: 'hazlenuts, pistacchio, cashiew nuts', contains: 'tree-nuts hazelnut pistachio cashew' },
  { text: 'sugar, but-\nter, wheat-\nflour, pea-\nnuts', contains: `milk ${W} peanut` },
  { text: 'S E S A M E, sugar, M I L K', contains: 'sesame milk' },
  { text: 'water,**soya**,salt,<strong>egg</strong>white', contains: 'soya egg' },
  { text: 'MUSTARD(SEEDS),celery[SALT];  lupin\tflour', contains: 'mustard celery lupin' },
  { text: 'wheatflour, skimmedmilkpowder, eggpowder', contains: `${W} milk egg` },
  { text: 'Crème fraîche, gruyère, béchamel', contains: `milk ${W}` },
  { text: 'almonnd flakes, macademia, brazilnuts', contains: 'tree-nuts almond macadamia brazil-nut' },
  { text: 'sulpbites, molluscs, cruslaceans', contains: 'sulphites molluscs crustaceans' },
]

export const OTHER_LANGUAGES: LabelCase[] = [
  {
    text: 'Zutaten: Weizenmehl, Zucker, Butterreinfett, Vollei, Haselnüsse 8 %, Süßmolkenpulver, Speisesalz, Backtriebmittel (Natriumhydrogencarbonat). Kann Spuren von anderen Schalenfrüchten, Erdnüssen und Sesam enthalten.',
    contains: `${W} milk egg tree-nuts hazelnut`,
    may: 'peanut sesame tree-nuts',
  },
  { text: 'Zutaten: Kichererbsen, Sesampaste, Zitronensaft, Salz', contains: 'sesame', extras: 'chickpea' },
  {
    text: 'Roggenvollkornmehl, Gerstenmalzextrakt, Haferflocken, Sonnenblumenöl',
    contains: 'gluten-cereals rye barley oats',
  },
  {
    text: 'Kakaobutter, Buchweizenmehl, Muskatnuss, Kokosnuss, Milchsäure, Reismehl',
    extras: 'buckwheat coconut',
  },
  {
    text: 'Gemüsebrühe: Salz, Sellerie, Aroma, Gewürze, modifizierte Stärke',
    contains: 'celery',
    asks: ['Aroma', 'Gewürze', 'modifizierte Stärke'],
  },
  {
    text: 'Dinkelvollkorngrieß, Hühnereiweißpulver, Magermilchpulver, Senfsaat',
    contains: `${W} egg milk mustard`,
  },
  { text: 'Laktosefrei. Zutaten: Milch, Sahne', contains: 'milk' },
  {
    text: 'Ingrédients : farine de blé, sucre, beurre, œufs, lait écrémé en poudre, lécithine de soja, arôme. Peut contenir des traces de fruits à coque et de sésame.',
    contains: `${W} milk egg soya`,
    may: 'tree-nuts sesame',
    asks: ['arôme'],
  },
  {
    text: 'Farine de sarrasin, lait de coco, beurre de cacao, noix de muscade, amidon de maïs',
    extras: 'buckwheat coconut',
  },
  {
    text: 'Noix de cajou, noisettes, amandes, pistaches, noix',
    contains: 'tree-nuts cashew hazelnut almond pistachio walnut',
  },
  {
    text: 'Moules, crevettes, calmar, thon, anchois, moutarde, céleri, sulfites',
    contains: 'molluscs mussel crustaceans prawn squid fish tuna anchovy mustard celery sulphites',
  },
  { text: 'Sans gluten. Farine de riz, sel. Peut contenir du lupin.', free: 'gluten-cereals', may: 'lupin' },
  {
    text: 'Lactosérum (lait), orge malté, seigle, avoine, épeautre',
    contains: `milk gluten-cereals barley rye oats wheat`,
  },
  {
    text: 'Ingredientes: harina de trigo, azúcar, mantequilla, huevos, leche en polvo, almendras, aroma. Puede contener trazas de cacahuete, sésamo y soja.',
    contains: `${W} milk egg tree-nuts almond`,
    may: 'peanut sesame soya',
    asks: ['aroma'],
  },
  {
    text: 'Manteca de cacao, nuez moscada, trigo sarraceno, leche de coco, almidón de maíz',
    extras: 'buckwheat coconut',
  },
  {
    text: 'Gambas, mejillón, atún, apio, mostaza, altramuces, dióxido de azufre',
    contains: 'crustaceans prawn molluscs mussel fish tuna celery mustard lupin sulphites',
  },
  {
    text: 'Avellanas, nueces, anacardos, pistachos, suero de leche, yema de huevo',
    contains: 'tree-nuts hazelnut walnut cashew pistachio milk egg',
  },
  {
    text: 'Ingredientes: farinha de trigo, açúcar, manteiga, ovos, leite magro em pó, amêndoas. Pode conter vestígios de amendoim e gergelim.',
    contains: `${W} milk egg tree-nuts almond`,
    may: 'peanut sesame',
  },
  {
    text: 'Manteiga de cacau, noz-moscada, trigo-sarraceno, leite de coco, fécula de batata',
    extras: 'buckwheat coconut',
  },
  {
    text: 'Camarão, lulas, bacalhau, aipo, mostarda, tremoço, sulfitos',
    contains: 'crustaceans prawn molluscs squid fish cod celery mustard lupin sulphites',
  },
  {
    text: 'Avelãs, nozes, castanha de caju, soro de leite, gema de ovo, centeio, cevada, aveia',
    contains: 'tree-nuts hazelnut walnut cashew milk egg gluten-cereals rye barley oats',
  },
  {
    text: 'Składniki: mąka pszenna, cukier, masło, jaja, serwatka w proszku (z mleka), orzechy laskowe 5%, lecytyna sojowa, aromat. Może zawierać orzeszki ziemne, sezam i łubin.',
    contains: `${W} milk egg tree-nuts hazelnut soya`,
    may: 'peanut sesame lupin',
    asks: ['aromat'],
  },
  {
    text: 'Masło kakaowe, gałka muszkatołowa, mąka gryczana, wiórki kokosowe, mleczan wapnia, skrobia kukurydziana, kwas mlekowy',
    extras: 'buckwheat coconut',
  },
  {
    text: 'Żyto, jęczmień, owies, orkisz, seler, gorczyca, dwutlenek siarki',
    contains: `gluten-cereals rye barley oats wheat celery mustard sulphites`,
  },
  {
    text: 'Dorsz, krewetki, małże, orzechy nerkowca, migdały, pistacje, orzechy włoskie',
    contains: 'fish cod crustaceans prawn molluscs mussel tree-nuts cashew almond pistachio walnut',
  },
  { text: 'Twaróg, śmietanka, jogurt naturalny, żółtka jaj', contains: 'milk egg' },
  {
    text: 'Cynhwysion: blawd gwenith, siwgr, menyn, wyau, powdr llaeth. Gall gynnwys cnau, cnau daear a sesami.',
    contains: `${W} milk egg`,
    may: 'tree-nuts peanut sesame',
  },
  {
    text: 'Ceirch, haidd, rhyg, caws, hufen, mwstard, seleri',
    contains: 'gluten-cereals oats barley rye milk mustard celery',
  },
  { text: 'Llaeth cnau coco, gwenith yr hydd, menyn coco, blawd reis', extras: 'coconut buckwheat' },
  {
    text: 'Склад: борошно пшеничне, цукор, масло вершкове, яйця, молоко сухе, арахіс, ароматизатор. Може містити сліди кунжуту, сої та горіхів.',
    contains: `${W} milk egg peanut`,
    may: 'sesame soya tree-nuts',
    asks: ['ароматизатор'],
  },
  {
    text: 'Масло какао, мускатний горіх, борошно гречане, кокосове молоко, молочна кислота, крохмаль кукурудзяний',
    extras: 'buckwheat coconut',
  },
  {
    text: 'Жито, ячмінь, вівсяні пластівці, риба, креветки, гірчиця, селера, сульфіти',
    contains: 'gluten-cereals rye barley oats fish crustaceans prawn mustard celery sulphites',
  },
  {
    text: 'Сир, сметана, фундук, мигдаль, фісташки, волоські горіхи, кешʼю',
    contains: 'milk tree-nuts hazelnut almond pistachio walnut cashew',
  },
  {
    text: 'المكونات: دقيق القمح، سكر، زبدة، بيض، مسحوق الحليب، نكهة. قد يحتوي على الفول السوداني والسمسم والمكسرات.',
    contains: `${W} milk egg`,
    may: 'peanut sesame tree-nuts',
    asks: ['نكهة'],
  },
  { text: 'زبدة الكاكاو، جوز الهند، جوزة الطيب، دقيق الأرز', extras: 'coconut' },
  {
    text: 'حليب، طحينة، بندق، لوز، كاجو، فستق، سمك، روبيان، خردل، كرفس، شوفان، شعير',
    contains:
      'milk sesame tree-nuts hazelnut almond cashew pistachio fish crustaceans prawn mustard celery gluten-cereals oats barley',
  },
  {
    text: 'اجزاء: گندم کا آٹا، چینی، مکھن، انڈے، خشک دودھ، بادام۔ اس میں مونگ پھلی اور تل شامل ہو سکتے ہیں۔',
    contains: `${W} milk egg tree-nuts almond`,
    may: 'peanut sesame',
  },
  { text: 'ناریل کا دودھ، بیسن، کوکو مکھن، جائفل، چاول کا آٹا', extras: 'coconut chickpea' },
  {
    text: 'دہی، پنیر، کاجو، پستہ، اخروٹ، مچھلی، جھینگے، سویا، رائی',
    contains: 'milk tree-nuts cashew pistachio walnut fish crustaceans prawn soya mustard',
  },
]

/** Languages that Lea does not read: everything is asked about. */
export const UNREAD: string[] = [
  'Ainekset: vehnäjauho, sokeri, maitojauhe, suola, kananmuna, voi, hiiva',
  'Összetevők: búzaliszt, kristálycukor, tojás, étkezési só, élesztő',
  '原料：小麦粉、砂糖、バター、卵、食塩',
  'ส่วนประกอบ แป้งสาลี น้ำตาล เนย ไข่ไก่ เกลือ',
  'Συστατικά: αλεύρι σίτου, ζάχαρη, βούτυρο, αυγά, αλάτι',
]
