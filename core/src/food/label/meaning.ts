/** What a phrase says, in which language, and which of its meanings holds at a place. */

/** What a phrase says. */
export interface Phrase {
  /** Ids it means; empty for a false friend and for a vague word. */
  ids: string[]
  /** What a vague word could hide; undefined where it is not vague. */
  hides?: string[]
  friend: boolean
  note: string
  length: number
}

/** What a phrase means in one language. */
export interface Meaning {
  ids: string[]
  hides?: string[]
  note: string
}

/**
 * What the phrase of a node means at a place: in the language around it where that decides, else everything that it could.
 * @param elsewhere languages in which the word carries nothing, where it stands alone
 * @param language which language the words around are in, null where none stands out; asked only where it matters
 */
export function meaningAt(
  found: readonly { languages?: ReadonlyMap<string, Meaning>; phrase?: Phrase }[],
  elsewhere: ReadonlySet<string> | undefined,
  language: () => string | null,
): Phrase | null {
  const languages = new Map<string, Meaning>()
  for (const { languages: some } of found)
    for (const [lang, meaning] of some ?? []) languages.set(lang, both(languages.get(lang), meaning))
  const phrase = phraseFrom([...languages.values()], found[0]?.phrase?.length ?? 1)
  if (!elsewhere && !apart([...languages.values()])) return phrase
  const here = language()
  if (here === null) return phrase
  const own = languages.get(here)
  // Polish has "pasta" for a spread, Spanish for pasta: what it carries nothing in is not what it is elsewhere.
  if (!own) return elsewhere?.has(here) ? null : phrase
  const shared = languages.get('xx')
  return phraseFrom(shared ? [own, shared] : [own], phrase.length)
}

const both = (a: Meaning | undefined, b: Meaning): Meaning => {
  const hides = a?.hides || b.hides ? unique([...(a?.hides ?? []), ...(b.hides ?? [])]) : undefined
  return { ids: unique([...(a?.ids ?? []), ...b.ids]), ...(hides && { hides }), note: a?.note || b.note }
}

/** Do languages mean different things by it? What overlaps is one thing seen more or less closely. */
const apart = (meanings: readonly Meaning[]): boolean =>
  meanings.some((a, i) =>
    meanings
      .slice(i + 1)
      .some((b) => a.ids.length > 0 && b.ids.length > 0 && !a.ids.some((id) => b.ids.includes(id))),
  )

function phraseFrom(meanings: readonly Meaning[], length: number): Phrase {
  const all = meanings.reduce<Meaning | undefined>((sum, m) => both(sum, m), undefined)
  const ids = all?.ids ?? []
  return {
    ids,
    ...(all?.hides && { hides: all.hides }),
    friend: ids.length === 0 && !all?.hides,
    note: all?.note ?? '',
    length,
  }
}

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)]
