/** Lea's own recipes, to start from. A setting's own stand beside them. */
import soda from '../../data/recipes/herb-soda-bread.json'
import scones from '../../data/recipes/cheese-leek-scones.json'
import raita from '../../data/recipes/cucumber-mint-raita.json'
import soup from '../../data/recipes/lentil-letter-soup.json'
import oats from '../../data/recipes/overnight-oats-pear.json'
import jars from '../../data/recipes/couscous-jars.json'
import cornbread from '../../data/recipes/cornbread-squares.json'
import dip from '../../data/recipes/beetroot-bean-dip.json'
import crackers from '../../data/recipes/seeded-crackers.json'
import hotpot from '../../data/recipes/embers-hot-pot.json'
import type { Recipe } from './recipe'

export const SHIPPED_RECIPES: readonly Recipe[] = [
  soda,
  scones,
  raita,
  soup,
  oats,
  jars,
  cornbread,
  dip,
  crackers,
  hotpot,
] as Recipe[]
