/**
 * Whole tins, packets and sachets. Source: measures.md D2, common practice, from memory.
 *
 * Definition. Of x tins the nearest whole number where it is at least 1 and within 15 % of x; otherwise as many as are
 * opened, the rest left over.
 */
import type Fraction from 'fraction.js'
import { ratio, toText, type Ratio } from './ratio'

const NEAR_TIN = '3/20'

export interface WholeCount {
  n: number
  /** Opened and not used: a share of one. */
  left: Ratio
  /** `near`: taken whole although a little more or less is asked for. */
  how: 'exact' | 'near' | 'part'
}

export function wholeTins(x: Ratio | Fraction): WholeCount {
  const exact = ratio(x)
  const nearest = exact.add('1/2').floor()
  if (nearest.equals(exact)) return { n: nearest.valueOf(), left: '0', how: 'exact' }
  const off = nearest.sub(exact).div(exact).abs()
  if (nearest.compare(1) >= 0 && off.compare(NEAR_TIN) <= 0)
    return { n: nearest.valueOf(), left: '0', how: 'near' }
  const opened = exact.ceil()
  return { n: opened.valueOf(), left: toText(opened.sub(exact)), how: 'part' }
}
