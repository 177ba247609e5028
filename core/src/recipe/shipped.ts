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
import crumble from '../../data/recipes/apple-oat-crumble-pots.json'
import chapati from '../../data/recipes/chapati-dal.json'
import fritters from '../../data/recipes/pea-fritters.json'
import broth from '../../data/recipes/chicken-sweetcorn-broth.json'
import jelly from '../../data/recipes/milk-jelly-berries.json'
import flatbreads from '../../data/recipes/risen-flatbreads.json'
import shortbread from '../../data/recipes/shortbread-shapes.json'
import riceBalls from '../../data/recipes/rice-balls-seed-coat.json'
import ownBreads from '../../data/recipes/own/own-flatbreads.json'
import ownSoup from '../../data/recipes/own/soup-of-my-own.json'
import boats from '../../data/recipes/own/harbour-boats.json'
import picnic from '../../data/recipes/own/picnic-goes-round.json'
import garden from '../../data/recipes/own/guess-the-garden.json'
import cress from '../../data/recipes/own/windowsill-cress.json'
import type { Recipe } from './recipe'

/** The recipes that come with Lea (core/data/recipes). */
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
  crumble,
  chapati,
  fritters,
  broth,
  jelly,
  flatbreads,
  shortbread,
  riceBalls,
  ownBreads,
  ownSoup,
  boats,
  picnic,
  garden,
  cress,
] as Recipe[]

/** Lea's own recipe of an id, which a setting's may stand over. */
export const shippedOf = (id: string): Recipe | undefined => SHIPPED_RECIPES.find((r) => r.id === id)
