/** The first letter of a sentence or of a phrase inside one. */

/** "apple and pear" -> "Apple and pear"; what begins with no letter stays. */
export const capitalised = (text: string): string => text.replace(/^\p{Ll}/u, (c) => c.toUpperCase())

/** "The oven" -> "the oven"; what begins with no letter stays. */
export const lowered = (text: string): string => text.replace(/^\p{Lu}/u, (c) => c.toLowerCase())
