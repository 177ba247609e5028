import { allergenOfWords } from '../food/parse-concern'
import { required } from './text'

/** An allergen's id, or words. "Milk", as a tablet writes it at the beginning of a field, and "dairy" become milk. */
export const allergenWords = (label: string) =>
  required(label, 60).transform((v: unknown) => (typeof v === 'string' ? allergenOfWords(v) : v))
