/** Words that a kitchen in the US has for what a kitchen in the UK calls otherwise. Source: common practice, from memory. */
const WORDS: readonly [RegExp, string][] = [
  [/\bmeasuring jug\b/g, 'measuring cup'],
  [/\bjug\b/g, 'pitcher'],
  [/\bthe tap\b/g, 'the faucet'],
  [/\bhob\b/g, 'stove'],
  [/\btin\b/g, 'pan'],
  [/\bbaking tray\b/g, 'baking sheet'],
  [/\bcourgette/g, 'zucchini'],
  [/\baubergine/g, 'eggplant'],
  [/\bspring onion/g, 'green onion'],
  [/\bbeetroot\b/g, 'beet'],
  [/\bmaize\b/g, 'corn'],
  [/\bcoriander\b/g, 'cilantro'],
  [/\bbiscuit/g, 'cookie'],
  [/\bcolour/g, 'color'],
  [/\bColour/g, 'Color'],
  [/\bfavourite\b/g, 'favorite'],
  [/\bflavour/g, 'flavor'],
  [/\bneighbour/g, 'neighbor'],
  [/\bfibre\b/g, 'fiber'],
  [/\blitre/g, 'liter'],
  [/\byoghurt/g, 'yogurt'],
  [/\bscales\b/g, 'scale'],
  [/\b([Aa]) quarter\b(?! of an hour| turn| cup)/g, '$1 fourth'],
  [/\bthree quarters\b(?! of an hour)/g, 'three fourths'],
  [/\bquarters\b(?! of an hour)/g, 'fourths'],
  [/\bone quarter\b/g, 'one fourth'],
  [/\bdearest\b/g, 'most expensive'],
  [/\brubbish\b/g, 'trash'],
]
/** A text as it is said in the US. Amounts in figures stay as they are. */
export const usWords = (text: string): string =>
  WORDS.reduce((t, [pattern, word]) => t.replace(pattern, word), text)
