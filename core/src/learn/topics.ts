/** Which sort of step a technique makes, for what there is to tell of it. Source: learning.md D1 (common practice, from memory). */
import type { Topic } from './facts'

const TOPIC_OF: Record<Topic, string> = {
  wash: 'wash-hands wash-produce rinse-drain-cold',
  scoop: 'level-scoop pour-dry pour-liquid',
  count: 'count-out crack-egg separate-egg pod-shell pick-leaves',
  cut: 'tear snip-scissors cut-soft-table-knife bridge-cut claw-cut grate peel-hand peel-peeler core stone scoop-out open-can',
  mash: 'mash squeeze-juice crush-pestle bash-bag blender-button',
  mix: 'stir whisk fold toss-coat rub-in sieve shake-jar electric-mixer',
  knead: 'knead roll-out shape cut-cutter',
  layer: 'spread sprinkle arrange fill-cases brush-glaze thread-skewer pipe roll-wrap',
  share: 'serve-self lay-table',
  weigh: 'weigh-scale',
  wait: 'use-oven use-hob use-toaster use-toaster-oven use-microwave use-griddle use-campfire carry-hot drain-hot deep-fry',
  taste: 'taste',
  tidy: 'wipe-table sweep wash-up dry-put-away sort-scraps',
}
const BY_TECHNIQUE = new Map(
  Object.entries(TOPIC_OF).flatMap(([topic, list]) => list.split(' ').map((t) => [t, topic as Topic])),
)

/** The topic of a step: of its children's work first. Mixing where a technique is not placed. */
export const topicOf = (techniques: readonly string[]): Topic =>
  techniques.map((t) => BY_TECHNIQUE.get(t)).find((t) => t !== undefined) ?? 'mix'
