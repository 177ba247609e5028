import type Fraction from 'fraction.js'
import { AmountError, ratio, toMixed, toText, type Ratio } from './ratio'

export interface Scaled {
  factor: Ratio
  amount: Ratio
  mixed: string
}

/** The factor that takes a recipe for `from` to one for `to`, exact. @throws AmountError where `from` is 0. */
export function factorBetween(from: Ratio | number | Fraction, to: Ratio | number | Fraction): Fraction {
  const base = ratio(from)
  if (base.compare(0) <= 0) throw new AmountError('a recipe must serve more than 0')
  return ratio(to).div(base)
}

/** Scales an amount by an exact factor. @source calc.md `scale` */
export function scale(amount: Ratio | Fraction, factor: Fraction): Scaled {
  const value = ratio(amount).mul(factor)
  return { factor: toText(factor), amount: toText(value), mixed: toMixed(value) }
}

export interface EggCount {
  needed_g: Ratio
  exactEggs: Ratio
  roundUp: number
  nearest: number
  beaten: { whole: number; extra_g: Ratio }
  suggest: 'whole' | 'beaten'
}

/**
 * Eggs for a scaled recipe, by edible weight: whole eggs where the nearest is within 10 % (inclusive), otherwise
 * beat and weigh.
 * @param eggs eggs in the recipe; weights are edible grams of one egg
 * @source calc.md `eggs`; rule of the 10 % is common practice
 */
export function eggCount(
  eggs: Ratio | Fraction,
  factor: Fraction,
  recipeEggGrams: Ratio,
  boxEggGrams: Ratio,
): EggCount {
  const needed = ratio(eggs).mul(factor).mul(recipeEggGrams)
  const exact = needed.div(boxEggGrams)
  const nearest = exact.add('1/2').floor()
  const whole = exact.floor()
  const off = exact.compare(0) === 0 ? ratio(0) : nearest.sub(exact).div(exact).abs()
  return {
    needed_g: toText(needed),
    exactEggs: toText(exact),
    roundUp: Number(exact.ceil().toFraction()),
    nearest: Number(nearest.toFraction()),
    beaten: { whole: Number(whole.toFraction()), extra_g: toText(exact.sub(whole).mul(boxEggGrams)) },
    suggest: nearest.compare(1) >= 0 && off.compare('1/10') <= 0 ? 'whole' : 'beaten',
  }
}
