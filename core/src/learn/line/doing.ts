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

const firstOf = (text: string): string => text.toLowerCase().split(/[ ,:]/)[0] ?? ''

/**
 * @returns the title as it stands after "we" or "first"; undefined where it does not begin with what is done. What follows a comma
 * stays where it is done too: "Shape, cut a cross" is "shape and cut a cross", "Press, then seeds on" is "press".
 */
export function doing(title: string): string | undefined {
  if (!VERBS.has(firstOf(title)) || /:/.test(title)) return undefined
  const [head = '', ...rest] = title.split(/, (?:and |then )*/i)
  const done = rest.filter((part) => VERBS.has(firstOf(part)))
  const list = [head.replace(/^./, (c) => c.toLowerCase()), ...done]
  const last = list.pop() ?? ''
  const joint = / and /.test(last) ? ', ' : ' and '
  const text = list.length > 0 ? `${list.join(', ')}${joint}${last}` : last
  return text.replace(/^wash hands\b/, 'wash our hands').replace(/\byour\b/g, 'our')
}
