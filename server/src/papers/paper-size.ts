/** The sizes of paper that a person may ask for. Apart from the setting of pages, so that who only reads the word loads no fonts. */
export const PAPER_SIZES = ['A4', 'Letter'] as const
export type PaperSize = (typeof PAPER_SIZES)[number]
