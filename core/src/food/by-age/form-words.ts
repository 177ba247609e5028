/** Words that people write for the form of a food, and what they say of it. Common practice, from memory. */

type Words = readonly [words: RegExp, codes: readonly string[]]

/** A form that may settle a rule. Read in words without hyphens, in small letters. */
export const FORM_WORDS: readonly Words[] = [
  [/\b(?:grated|shredded|ribbons?|threads)\b/g, ['GRATE']],
  [
    /\b(?:cooked|boiled|steamed|stewed|poached|simmered|braised|microwaved|baked|roasted|fried|grilled|barbecued|tinned|canned)(?: (?:until |till |very |really |quite |so )*(?:soft|tender)| through)?\b/g,
    ['COOKED'],
  ],
  [
    /\b(?:cooked|boiled|steamed|stewed|poached|simmered|braised|tinned|canned)(?: (?:until |till |very |really |so )*(?:soft|tender))?\b/g,
    ['COOKSOFT'],
  ],
  [/\b(?:baked|roasted|microwaved) (?:until |till |very |really |so )*(?:soft|tender)\b/g, ['COOKSOFT']],
  [/\bsoft (?:cooked|boiled|steamed|roasted|baked)\b/g, ['COOKSOFT']],
  [/\b(?:heated|hot|steaming|piping hot|toasted|reheated)\b/g, ['COOKED']],
  [
    /\b(?:mashed|pureed|puréed|puree|purée|blended|liquidised|liquidized|smooth|squished|pulped)\b/g,
    ['MASH'],
  ],
  [/\bcrushed to (?:a )?(?:pulp|paste)\b/g, ['MASH']],
  [/\bsquashed\b(?! flat)/g, ['MASH']],
  [/\b(?:squashed flat|flattened|pressed flat)\b/g, ['FLAT']],
  [/\b(?:crushed|crumbled)\b/g, ['FLAT', 'GROUND']],
  [/\b(?:quartered|quarters?|long quarters)\b/g, ['QL']],
  [/\bquartered (?:lengthwise|lengthways|long ways)\b/g, ['QL', 'BATON']],
  [/\b(?:strips?|fingers)\b/g, ['STRIP']],
  [/\b(?:batons?|sticks?|spears?|matchsticks?)\b/g, ['BATON']],
  [/\b(?:slices?|sliced|slithers?|slivers?)\b/g, ['SLICE']],
  [/\b(?:thin|thinly|smear)\b/g, ['THIN']],
  [/\b(?:ground|flaked|milled|powdered)\b/g, ['GROUND']],
  [
    /\b(?:chopped|minced|cut small|cut up small|finely diced|diced small|diced finely|in tiny pieces)\b/g,
    ['CHOP'],
  ],
  [/\b(?:halved|halves|cut in half)\b/g, ['HALVE']],
  [/\b(?:boned|boneless|deboned|filleted and checked)\b/g, ['DEBONE']],
  [/\b(?:stoned|pitted|destoned|stoneless|depitted)\b/g, ['DESTONE']],
  [/\b(?:peeled|skinless|skinned)\b/g, ['SKINOFF']],
  [/\b(?:soaked|baked in|softened in (?:milk|water))\b/g, ['SOAKED']],
  [/\b(?:dissolved|melted)\b/g, ['DISSOLVED']],
  [/\b(?:removed|taken (?:out|off))\b/g, ['REMOVE']],
  [/\bripe\b/g, ['RIPE']],
  [/\b(?:cut short|snipped|snipped short|broken up|cut up)\b/g, ['SHORT']],
  [/\bplain\b/g, ['PLAIN']],
  [/\b(?:thawed|defrosted)\b/g, ['THAWED']],
  [/\b(?:cooled|lukewarm|tepid|hand warm|cool enough|cold)\b/g, ['COOLED']],
]

/**
 * What stands against a form, whatever else is said: which codes it takes away. `*`: all of its own clause and of those before it.
 * "Whole, then mashed" is mashed; "mashed, some left whole" is not.
 */
export const AGAINST: readonly Words[] = [
  [/\b(?:whole|entire|uncut|unsliced|unchopped)\b(?! (?:milk|wheat|grain|meal|foods?))/g, ['*']],
  [/\bballs?\b/g, ['*']],
  [
    /\b(?:with (?:the |their |its )?(?:stones?|pits?)|stones? (?:still |left )?in|pits? (?:still |left )?in|unpitted|unstoned)\b/g,
    ['DESTONE'],
  ],
  [/\b(?:with (?:the |their |its )?bones?|bones? (?:still |left )?in|on the bone|bony)\b/g, ['DEBONE']],
  [/\b(?:with (?:the |their |its )?skins?|skins? (?:still |left )?on|unpeeled)\b/g, ['SKINOFF']],
  [
    /\b(?:raw|uncooked|undercooked|half cooked|part cooked|al dente|crunchy|crisp|crispy|hard|firm|parboiled|par boiled|blanched|stir fried|lightly \w+|rare|pink|cold smoked)\b/g,
    ['COOKSOFT', 'COOKED'],
  ],
  [
    /\b(?:thick|thickly|chunky|big|large|coarse|coarsely|rough|roughly|wide)\b/g,
    ['SLICE', 'STRIP', 'BATON', 'THIN', 'CHOP'],
  ],
  [/\b(?:crosswise|across|widthways|widthwise)\b/g, ['QL', 'BATON']],
  [/\b(?:coins?|rounds|discs|disks|rings)\b/g, ['SLICE', 'HALVE']],
  [
    /(?<!\b(?:finely|small|tiny|into) )\b(?:cubes?|cubed|chunks?|lumps?|dice|diced)\b(?! (?:small|finely))/g,
    ['SLICE', 'STRIP', 'BATON', 'CHOP'],
  ],
  [/\b(?:spoonfuls?|by the spoon|off (?:a|the) spoon|lumps?|dollops?)\b/g, ['THIN']],
  [/\bfrozen\b/g, ['THAWED']],
  [/\b(?:seeded|seedy)\b/g, ['PLAIN']],
]

/** What is taken away said as one word, before clauses are parted: "stones and skins removed", "no bones". */
export const TAKEN_AWAY: readonly (readonly [RegExp, string])[] = [
  [/\b(?:no|without|free of) (?:any )?(?:stones?|pits?)\b/g, ' destoned '],
  [/\b(?:no|without|free of) (?:any )?bones?\b/g, ' deboned '],
  [/\b(?:no|without) (?:any )?skins?\b/g, ' skinless '],
  [/\b(?:bones? checked|checked for bones?)\b/g, ' deboned '],
  [/\b(?:stones?|pits?) (?:are |is |all )?(?:out|off|removed|taken out)\b/g, ' destoned '],
  [/\bbones? (?:are |is |all )?(?:out|off|removed|taken out)\b|\boff the bone\b/g, ' deboned '],
  [/\bskins? (?:are |is |all )?(?:off|removed|taken off)\b/g, ' skinless '],
  [
    /\bskins? and bones? (?:off|out|removed)\b|\bbones? and skins? (?:off|out|removed)\b/g,
    ' deboned skinless ',
  ],
  [
    /\bskins? and stones? (?:off|out|removed)\b|\bstones? and skins? (?:off|out|removed)\b/g,
    ' destoned skinless ',
  ],
]

/** After one of these a form is not there: "not quartered", "instead of mashed". */
export const NEGATES =
  /\b(?:not|never|no|nor|neither|un|isnt|arent|wasnt|werent|dont|isn t|aren t|wasn t|weren t|don t|doesn t|hardly|barely|instead of|rather than|without|except|unless)\b/
/** Somewhere in the clause: done in part, by choice, later, or for others. */
export const UNSURE =
  /\b(?:some|mostly|most|nearly|almost|half of|partly|partially|a few|if you like|if liked|if wanted|optional|optionally|maybe|perhaps|can be|could be|may be|might be|should be|must be|to be|needs? to be|want to be|later|afterwards|for the (?:older|big|bigger|adults?|grown ups?|rest))\b/

/** Words beside a form that name nothing: after any other word the form is that word's. */
export const FILLER = new Set(
  (
    'a an the and or then by adult adults an in into on onto to of for from at it its them they each all very so until till that is are was were ' +
    'pieces piece bits bit lengthwise lengthways long ways crosswise across thin thinly fine finely small tiny soft softly well thoroughly first before after ' +
    'serving served only just about again once twice half halves under water cool cooled warm narrow short even evenly flat smooth ripe raw fresh ' +
    'hand child children table today here seated watched with without up down out off on away too quite really good properly right through fully completely'
  ).split(' '),
)
