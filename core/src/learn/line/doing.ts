/** The title of a step as something one does: "Scoop the flour" is "scoop the flour"; "A pinch of cinnamon" is nothing one does. */
const VERBS = new Set(
  (
    'add arrange bake beat blend boil bash break brush build chill choose chop coat cook cool core count cover crack crumble crush cube cut dice dip ' +
    'divide drain dress drizzle dust eat fan fill find flatten fold freeze fry glaze grate griddle grill halve heat juice knead ladle lay layer ' +
    'level line make mash measure melt mix open pack pat peel pick pipe place plate poke pour prepare press put reheat rest rinse roll rub ' +
    'sandwich scatter scoop scrub season serve shake shape share sieve simmer slice smash snip soak sort spoon sprinkle spread squash squeeze stack stamp steam stew stir ' +
    'strip stuff taste tear thread tidy toast top toss trim tuck turn twist wait warm wash weigh whip whisk whizz wipe wrap'
  ).split(' '),
)

/** @returns the title as it stands after "we" or "first"; undefined where it does not begin with what is done */
export function doing(title: string): string | undefined {
  const [first = ''] = title.toLowerCase().split(/[ ,:]/)
  if (!VERBS.has(first) || /:/.test(title)) return undefined
  return title
    .replace(/^./, (c) => c.toLowerCase())
    .replace(/, (?=\w+ )/, ' and ')
    .replace(/^wash hands\b/, 'wash our hands')
}
