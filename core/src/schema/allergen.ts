import { allergenOfWords } from '../food/card/parse-concern'
import { required } from './text'

const MOST = 60
/** An allergen's id, or words. "Milk", as a tablet writes it at the beginning of a field, and "dairy" become milk. */
export const allergenWords = (label: string) =>
  required(label, MOST).transform((v: unknown) =>
    // What is too long is refused, not read: reading takes time.
    typeof v === 'string' && v.length <= MOST ? allergenOfWords(v) : v,
  )
