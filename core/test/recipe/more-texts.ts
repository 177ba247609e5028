/** Recipe texts of our own, in many manners: plain, messy, UK, US, metric, translated. Kinds of dishes as in the demo. */
export interface Text {
  name: string
  text: string
  system?: 'us' | 'uk' | 'm' | 'au'
  title: string
  serves: number
  /** Food ids of the lines that were read. */
  foods: string[]
  /** Keys of the questions that must be settled, by kind. */
  must?: string[]
  techniques?: string[]
  /** Longest wait, seconds; hottest, °C. */
  wait?: number
  celsius?: number
}

export const TEXTS: Text[] = [
  {
    name: 'a card with everything in its place',
    text: 'Apple crumble pots\nServes 8\nIngredients\n4 apples\n150 g plain flour\n100 g rolled oats\n100 g butter, cut small\n60 g brown sugar\nMethod\n1. Cut the apples into pieces.\n2. Rub the butter into the flour and oats. Stir in the sugar.\n3. Fill the pots. An adult bakes them at 180°C for 25 minutes.',
    title: 'Apple crumble pots',
    serves: 8,
    foods: ['apple', 'wheat-flour', 'oats-rolled', 'butter', 'brown-sugar'],
    techniques: ['bridge-cut', 'rub-in', 'stir', 'fill-cases', 'use-oven'],
    wait: 1500,
    celsius: 180,
  },
  {
    name: 'everything in small letters, without a full stop at the end of lines',
    text: 'pea fritters\nserves 4\n\n200g frozen peas\n100g plain flour\n1 tsp baking powder\n1 egg\n100ml milk\n\nmash the peas\nwhisk the egg and milk\nstir in the flour\nan adult fries them for 3 minutes',
    title: 'pea fritters',
    serves: 4,
    foods: ['peas-frozen', 'wheat-flour', 'baking-powder', 'egg-hen', 'milk-cow'],
    techniques: ['mash', 'whisk', 'stir', 'use-hob'],
    wait: 180,
  },
  {
    name: 'US: sticks of butter, Fahrenheit, ounces',
    system: 'us',
    text: 'Shortbread shapes\nYield: 24 cookies\nIngredients:\n2 sticks butter, softened\n1/2 cup granulated sugar\n2 1/2 cups all-purpose flour\nDirections:\nRub the butter into the flour. Add the sugar. Roll it out. Cut out shapes. Bake at 325°F for 15 minutes.',
    title: 'Shortbread shapes',
    serves: 24,
    foods: ['butter', 'sugar-granulated', 'wheat-flour'],
    techniques: ['rub-in', 'roll-out', 'cut-cutter', 'use-oven'],
    celsius: 165,
    wait: 900,
  },
  {
    name: 'UK: gas mark, ounces, a heaped spoon',
    system: 'uk',
    text: 'Leek scones\nMakes 12 scones\nIngredients\n8 oz self-raising flour\n2 oz butter\n1 leek, cooked soft\n¼ pint milk\nMethod\nRub the butter into the flour.\nAdd the leek and pour in the milk.\nShape the dough. Bake at gas mark 7 for 12 minutes.',
    title: 'Leek scones',
    serves: 12,
    foods: ['self-raising-flour', 'butter', 'leek', 'milk-cow'],
    celsius: 220,
    wait: 720,
  },
  {
    name: 'translated: decilitres, decimal commas, a soup spoon',
    text: 'Lentil soup of the house\nFor 6 people\nIngredients\n2,5 dl red lentils\n1 l water\n2 carrots\n1 tablespoon olive oil\nPreparation\nPut the lentils and the water in the pan.\nCut the carrots in small pieces.\nLet it cook 20 minutes on low heat.',
    title: 'Lentil soup of the house',
    serves: 6,
    foods: ['lentils-red', 'water', 'carrot', 'olive-oil'],
    wait: 1200,
  },
  {
    name: 'lines with alternatives: asked, not chosen',
    text: 'Overnight oats\nServes 4\nIngredients\n200 g rolled oats\n400 ml milk or oat drink\n2 pears\nMethod\nStir the oats into the milk.\nGrate the pears. Put it in the fridge for 8 hours.',
    title: 'Overnight oats',
    serves: 4,
    foods: ['oats-rolled', 'milk-cow', 'pear'],
    must: ['alternative'],
    wait: 28800,
  },
  {
    name: 'a range and a taste',
    text: 'Carrot soup\nServes 4\nIngredients\n3-4 carrots\n1 litre water\nsalt to taste\nMethod\nScrub the carrots. Simmer them in the water for 25 minutes.',
    title: 'Carrot soup',
    serves: 4,
    foods: ['carrot', 'water', 'salt'],
    techniques: ['wash-produce', 'use-hob'],
    wait: 1500,
  },
  {
    name: 'a step that names what no line has',
    text: 'Soda bread\nServes 8\nIngredients\n375 g plain flour\n1 tsp bicarbonate of soda\n300 ml buttermilk\nMethod\nMix the flour and soda. Pour in the buttermilk.\nShape it. Brush with beaten egg. Bake for 30 minutes at 200 C.',
    title: 'Soda bread',
    serves: 8,
    foods: ['wheat-flour', 'bicarbonate', 'buttermilk'],
    must: ['named'],
    celsius: 200,
    wait: 1800,
  },
  {
    name: 'two parts with headings of their own',
    text: 'Chapati with dal\nServes 6\nIngredients\nFor the dal:\n200 g red lentils\n750 ml water\n1 tsp turmeric\nFor the chapati:\n250 g wholemeal flour\n150 ml warm water\nMethod\nSimmer the lentils and turmeric in the water for 20 minutes.\nStir the flour and warm water. Knead the dough for 3 minutes.\nLet the dough rest for 10 minutes. Roll it out.',
    title: 'Chapati with dal',
    serves: 6,
    foods: ['lentils-red', 'water', 'turmeric', 'wholemeal-flour', 'water'],
    techniques: ['use-hob', 'stir', 'knead', 'roll-out'],
    wait: 1200,
  },
  {
    name: 'bullets of many kinds, a line with a bracket and a size',
    text: 'Cucumber raita\nServes 6\nIngredients\n• 300g plain yoghurt (full fat)\n▢ 1 large cucumber\n– 2 tbsp mint leaves, torn\n* 1/2 tsp ground cumin\nMethod\n• Chop the cucumber.\n• Tear the mint. Stir all the ingredients.',
    title: 'Cucumber raita',
    serves: 6,
    foods: ['yoghurt-plain', 'cucumber', 'mint', 'cumin'],
    techniques: ['bridge-cut', 'tear', 'stir'],
  },
  {
    name: 'all in one breath, as in a message',
    text: 'Couscous jars\n200 g couscous\n300 ml hot water\n1 cucumber\n2 tbsp olive oil\nPour the water over the couscous and leave it to stand for 5 minutes, then chop the cucumber, stir it in with the oil and fill the jars.',
    title: 'Couscous jars',
    serves: 4,
    foods: ['couscous', 'water', 'cucumber', 'olive-oil'],
    must: [],
    wait: 300,
  },
  {
    name: 'numbers as words, and each child',
    text: 'Bean dip\nServes 6\nIngredients\n2 tins white beans (400 g)\n1 beetroot, cooked\n1 lemon\nMethod\nEach child mashes ten times. Everyone squeezes the lemon twice. Taste.',
    title: 'Bean dip',
    serves: 6,
    foods: ['white-beans-tin', 'beetroot', 'lemon'],
    techniques: ['mash', 'squeeze-juice', 'taste'],
  },
  {
    name: 'numbered ingredients and numbered steps',
    text: 'Seeded crackers\nServes 10\nIngredients\n1. 200 g wholemeal flour\n2. 3 tbsp sesame seeds\n3. 3 tbsp olive oil\n4. 100 ml water\nMethod\n1. Mix the flour and seeds.\n2. Pour in the oil and water. Knead.\n3. Roll it out, cut out squares. Bake for 15 mins at 190C.',
    title: 'Seeded crackers',
    serves: 10,
    foods: ['wholemeal-flour', 'sesame-seeds', 'olive-oil', 'water'],
    techniques: ['stir', 'pour-liquid', 'knead', 'roll-out', 'cut-cutter', 'use-oven'],
    celsius: 190,
    wait: 900,
  },
  {
    name: 'an instruction to do it again',
    text: 'Layered jars\nServes 4\nIngredients\n200 g oats\n200 g plain yoghurt\nMethod\nSpread the oats. Spread the yoghurt. Repeat.',
    title: 'Layered jars',
    serves: 4,
    foods: ['oats-rolled', 'yoghurt-plain'],
    techniques: ['spread'],
  },
  {
    name: 'hours and minutes, and a night',
    text: 'Milk jelly\nServes 6\nIngredients\n600 ml milk\n3 tsp gelatine\n2 tbsp caster sugar\nMethod\nSprinkle the gelatine over the milk and leave it to stand for 5 minutes.\nAn adult warms it for 4 minutes. Pour it into cups.\nChill for 12 hours.',
    title: 'Milk jelly',
    serves: 6,
    foods: ['milk-cow', 'gelatine', 'sugar-caster'],
    techniques: ['sprinkle', 'use-hob', 'pour-liquid'],
    wait: 43200,
  },
  {
    name: 'yeast: rising, an hour in words',
    text: 'Risen flatbreads\nMakes 8 flatbreads\nIngredients\n400 g strong bread flour\n7 g dried yeast\n250 ml lukewarm water\n2 tbsp olive oil\nMethod\nMix the flour, yeast and water. Knead for 8 minutes.\nLeave the dough to rise for one hour.\nShape the flatbreads. Bake for 14 minutes at 220 °C.',
    title: 'Risen flatbreads',
    serves: 8,
    foods: ['strong-bread-flour', 'yeast-dried', 'water', 'olive-oil'],
    techniques: ['stir', 'knead', 'shape', 'use-oven'],
    wait: 3600,
    celsius: 220,
  },
  {
    name: 'a broth with raw chicken',
    text: 'Chicken and sweetcorn broth\nServes 6\nIngredients\n300 g chicken breast\n1.5 litres water\n200 g sweetcorn\n4 spring onions\nMethod\nAn adult cuts the chicken. Simmer it in the water for 20 minutes.\nSnip the spring onions. Add the sweetcorn and cook for 5 minutes.',
    title: 'Chicken and sweetcorn broth',
    serves: 6,
    foods: ['chicken-breast', 'water', 'sweetcorn', 'spring-onion'],
    techniques: ['snip-scissors', 'use-hob'],
    wait: 1200,
  },
  {
    name: 'rice: rinsed, cooled, coated',
    text: 'Rice balls\nMakes 16 balls\nIngredients\n300 g white rice\n400 ml water\n3 tbsp sesame seeds\nMethod\nRinse the rice. Cook it in the water for 15 minutes.\nLet it cool for 15 minutes. Shape balls. Coat them with the seeds.',
    title: 'Rice balls',
    serves: 16,
    foods: ['rice-white', 'water', 'sesame-seeds'],
    techniques: ['wash-produce', 'use-hob', 'shape', 'toss-coat'],
    wait: 900,
  },
  {
    name: 'a title with a hash, sections as words only',
    text: '# Cornbread\n\nYou will need\n1 cup polenta\n1 cup flour\n2 tsp baking powder\n1 egg\n250 ml milk\n\nWhat to do\nMix the polenta, flour and baking powder.\nWhisk the egg and milk. Pour it in and stir.\nBake 20 minutes at 200°C.\nNotes\nCut it in squares while it is warm.',
    title: 'Cornbread',
    serves: 4,
    foods: ['polenta', 'wheat-flour', 'baking-powder', 'egg-hen', 'milk-cow'],
    techniques: ['stir', 'whisk', 'pour-liquid', 'use-oven'],
    celsius: 200,
    wait: 1200,
  },
  {
    name: 'a food that nobody knows, and one that is spelt oddly',
    text: 'Garden soup\nServes 4\nIngredients\n200 g swede\n1 handful marsh samphire\n1 l water\nMethod\nPeel the swede. Simmer all the ingredients for 30 minutes.',
    title: 'Garden soup',
    serves: 4,
    foods: ['swede', 'own:marsh-samphire', 'water'],
    techniques: ['peel-peeler', 'use-hob'],
    wait: 1800,
  },
  {
    name: 'Windows line ends, tabs and odd blanks',
    text: 'Herb oats\r\nServes 2\r\nIngredients\r\n\t100\u00a0g rolled oats\r\n  1\u2009tbsp chives\r\nMethod\r\n Snip   the chives.\r\nStir them into the oats.\r\n',
    title: 'Herb oats',
    serves: 2,
    foods: ['oats-rolled', 'chives'],
    techniques: ['snip-scissors', 'stir'],
  },
]

/** Pages as people save them, in five manners; `recipe` is what each holds. */
const node = {
  '@type': 'Recipe',
  name: 'Pear &amp; oat pots',
  recipeYield: '6 servings',
  recipeIngredient: ['300 g rolled oats', '2 pears', '½ cup milk'],
}
const steps = ['Grate the pears.', 'Stir in the oats and milk.', 'Chill for 2 hours.']
const page = (json: unknown, before = '', type = 'application/ld+json'): string =>
  `<!doctype html><html><head><title>x</title>${before}<script type="${type}">${JSON.stringify(json)}</script></head><body><h1>x</h1></body></html>`
export const PAGES: { name: string; text: string }[] = [
  {
    name: 'one node, steps as strings',
    text: page({ '@context': 'https://schema.org', ...node, recipeInstructions: steps }),
  },
  {
    name: 'a graph with a page and a site beside it, HowToStep',
    text: page({
      '@context': 'https://schema.org/',
      '@graph': [
        { '@type': 'WebPage', name: 'No recipe' },
        {
          ...node,
          '@type': ['NewsArticle', 'Recipe'],
          recipeInstructions: steps.map((text) => ({ '@type': 'HowToStep', text })),
        },
      ],
    }),
  },
  {
    name: 'sections with steps in them, a list of lists',
    text: page([
      { '@type': 'BreadcrumbList', itemListElement: [] },
      {
        ...node,
        recipeYield: ['6', '6 servings'],
        recipeInstructions: [
          {
            '@type': 'HowToSection',
            name: 'Mix',
            itemListElement: steps
              .slice(0, 2)
              .map((text) => ({ '@type': 'HowToStep', text: `<p>${text}</p>` })),
          },
          {
            '@type': 'HowToSection',
            name: 'Chill',
            itemListElement: [{ '@type': 'HowToStep', name: steps[2] }],
          },
        ],
      },
    ]),
  },
  {
    name: 'all steps in one string with tags, older property names',
    text: page({
      '@context': 'http://schema.org',
      '@type': 'http://schema.org/Recipe',
      name: node.name,
      yield: 'Serves 6',
      ingredients: node.recipeIngredient,
      recipeInstructions: `<ol>${steps.map((s) => `<li>${s}</li>`).join('')}</ol>`,
    }),
  },
  {
    name: 'two scripts, the first broken; wrapped in mainEntity',
    text: page(
      { '@type': 'WebPage', mainEntity: { ...node, recipeYield: 6, recipeInstructions: steps.join('\n') } },
      '<script type="application/ld+json">{ "@type": "Recipe", </script>',
    ),
  },
]
