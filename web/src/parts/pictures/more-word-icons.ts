/** More packaged pictures of words (MIT, Fluent emoji): things of the kitchen, colours, ways of working, manners. */
import type { Component } from 'vue'
import avocado from '~icons/fluent-emoji-flat/avocado'
import basket from '~icons/fluent-emoji-flat/basket'
import beverageBox from '~icons/fluent-emoji-flat/beverage-box'
import birthdayCake from '~icons/fluent-emoji-flat/birthday-cake'
import blackCircle from '~icons/fluent-emoji-flat/black-circle'
import blueCircle from '~icons/fluent-emoji-flat/blue-circle'
import blueberries from '~icons/fluent-emoji-flat/blueberries'
import broccoli from '~icons/fluent-emoji-flat/broccoli'
import broom from '~icons/fluent-emoji-flat/broom'
import brownCircle from '~icons/fluent-emoji-flat/brown-circle'
import brownMushroom from '~icons/fluent-emoji-flat/brown-mushroom'
import bubbles from '~icons/fluent-emoji-flat/bubbles'
import chair from '~icons/fluent-emoji-flat/chair'
import checkMarkButton from '~icons/fluent-emoji-flat/check-mark-button'
import chequeredFlag from '~icons/fluent-emoji-flat/chequered-flag'
import cherries from '~icons/fluent-emoji-flat/cherries'
import clappingHands from '~icons/fluent-emoji-flat/clapping-hands'
import cookie from '~icons/fluent-emoji-flat/cookie'
import cooking from '~icons/fluent-emoji-flat/cooking'
import crossMark from '~icons/fluent-emoji-flat/cross-mark'
import cupWithStraw from '~icons/fluent-emoji-flat/cup-with-straw'
import cutOfMeat from '~icons/fluent-emoji-flat/cut-of-meat'
import droolingFace from '~icons/fluent-emoji-flat/drooling-face'
import ear from '~icons/fluent-emoji-flat/ear'
import faceSavoringFood from '~icons/fluent-emoji-flat/face-savoring-food'
import fire from '~icons/fluent-emoji-flat/fire'
import fish from '~icons/fluent-emoji-flat/fish'
import flatbread from '~icons/fluent-emoji-flat/flatbread'
import foldedHands from '~icons/fluent-emoji-flat/folded-hands'
import gingerRoot from '~icons/fluent-emoji-flat/ginger-root'
import grapes from '~icons/fluent-emoji-flat/grapes'
import greenCircle from '~icons/fluent-emoji-flat/green-circle'
import grinningFace from '~icons/fluent-emoji-flat/grinning-face'
import handshake from '~icons/fluent-emoji-flat/handshake'
import herb from '~icons/fluent-emoji-flat/herb'
import hotBeverage from '~icons/fluent-emoji-flat/hot-beverage'
import hotPepper from '~icons/fluent-emoji-flat/hot-pepper'
import house from '~icons/fluent-emoji-flat/house'
import ice from '~icons/fluent-emoji-flat/ice'
import indexPointingUp from '~icons/fluent-emoji-flat/index-pointing-up'
import jar from '~icons/fluent-emoji-flat/jar'
import kiwiFruit from '~icons/fluent-emoji-flat/kiwi-fruit'
import magnifyingGlassTiltedLeft from '~icons/fluent-emoji-flat/magnifying-glass-tilted-left'
import mantelpieceClock from '~icons/fluent-emoji-flat/mantelpiece-clock'
import melon from '~icons/fluent-emoji-flat/melon'
import musicalNotes from '~icons/fluent-emoji-flat/musical-notes'
import nose from '~icons/fluent-emoji-flat/nose'
import olive from '~icons/fluent-emoji-flat/olive'
import openBook from '~icons/fluent-emoji-flat/open-book'
import openHands from '~icons/fluent-emoji-flat/open-hands'
import orangeCircle from '~icons/fluent-emoji-flat/orange-circle'
import packageBox from '~icons/fluent-emoji-flat/package'
import pinkHeart from '~icons/fluent-emoji-flat/pink-heart'
import palmUpHand from '~icons/fluent-emoji-flat/palm-up-hand'
import pancakes from '~icons/fluent-emoji-flat/pancakes'
import peach from '~icons/fluent-emoji-flat/peach'
import peanuts from '~icons/fluent-emoji-flat/peanuts'
import pear from '~icons/fluent-emoji-flat/pear'
import pencil from '~icons/fluent-emoji-flat/pencil'
import pineapple from '~icons/fluent-emoji-flat/pineapple'
import potOfFood from '~icons/fluent-emoji-flat/pot-of-food'
import potableWater from '~icons/fluent-emoji-flat/potable-water'
import poultryLeg from '~icons/fluent-emoji-flat/poultry-leg'
import purpleCircle from '~icons/fluent-emoji-flat/purple-circle'
import rabbit from '~icons/fluent-emoji-flat/rabbit'
import redCircle from '~icons/fluent-emoji-flat/red-circle'
import redQuestionMark from '~icons/fluent-emoji-flat/red-question-mark'
import scissors from '~icons/fluent-emoji-flat/scissors'
import scroll from '~icons/fluent-emoji-flat/scroll'
import seedling from '~icons/fluent-emoji-flat/seedling'
import shoppingBags from '~icons/fluent-emoji-flat/shopping-bags'
import snowflake from '~icons/fluent-emoji-flat/snowflake'
import soap from '~icons/fluent-emoji-flat/soap'
import spaghetti from '~icons/fluent-emoji-flat/spaghetti'
import sparkles from '~icons/fluent-emoji-flat/sparkles'
import speakingHead from '~icons/fluent-emoji-flat/speaking-head'
import spiralCalendar from '~icons/fluent-emoji-flat/spiral-calendar'
import sponge from '~icons/fluent-emoji-flat/sponge'
import star from '~icons/fluent-emoji-flat/star'
import steamingBowl from '~icons/fluent-emoji-flat/steaming-bowl'
import sun from '~icons/fluent-emoji-flat/sun'
import sweatDroplets from '~icons/fluent-emoji-flat/sweat-droplets'
import thermometer from '~icons/fluent-emoji-flat/thermometer'
import thinkingFace from '~icons/fluent-emoji-flat/thinking-face'
import thoughtBalloon from '~icons/fluent-emoji-flat/thought-balloon'
import thumbsUp from '~icons/fluent-emoji-flat/thumbs-up'
import tongue from '~icons/fluent-emoji-flat/tongue'
import tooth from '~icons/fluent-emoji-flat/tooth'
import turtle from '~icons/fluent-emoji-flat/turtle'
import verticalTrafficLight from '~icons/fluent-emoji-flat/vertical-traffic-light'
import wastebasket from '~icons/fluent-emoji-flat/wastebasket'
import wavingHand from '~icons/fluent-emoji-flat/waving-hand'
import whiteCircle from '~icons/fluent-emoji-flat/white-circle'
import windFace from '~icons/fluent-emoji-flat/wind-face'
import yellowCircle from '~icons/fluent-emoji-flat/yellow-circle'
import zzz from '~icons/fluent-emoji-flat/zzz'

export const MORE_WORD_ICONS: Record<string, Component> = {
  pear: pear,
  blueberry: blueberries,
  berries: blueberries,
  broccoli: broccoli,
  mushroom: brownMushroom,
  ginger: gingerRoot,
  soup: potOfFood,
  pasta: spaghetti,
  noodles: steamingBowl,
  chicken: poultryLeg,
  fish: fish,
  meat: cutOfMeat,
  grapes: grapes,
  melon: melon,
  peach: peach,
  cherry: cherries,
  pineapple: pineapple,
  kiwi: kiwiFruit,
  avocado: avocado,
  olives: olive,
  pancake: pancakes,
  juice: beverageBox,
  tea: hotBeverage,
  nuts: peanuts,
  flatbread: flatbread,
  biscuit: cookie,
  cake: birthdayCake,
  herbs: herb,
  spicy: hotPepper,
  scissors: scissors,
  jar: jar,
  pan: cooking,
  fire: fire,
  freezer: snowflake,
  tap: potableWater,
  soap: soap,
  chair: chair,
  bin: wastebasket,
  bag: shoppingBags,
  box: packageBox,
  basket: basket,
  clock: mantelpieceClock,
  thermometer: thermometer,
  recipe: scroll,
  bubble: bubbles,
  hands: openHands,
  finger: indexPointingUp,
  thumb: thumbsUp,
  nose: nose,
  tongue: tongue,
  ice: ice,
  listen: ear,
  eat: faceSavoringFood,
  drink: cupWithStraw,
  draw: pencil,
  sing: musicalNotes,
  clap: clappingHands,
  say: speakingHead,
  ask: redQuestionMark,
  read: openBook,
  find: magnifyingGlassTiltedLeft,
  blow: windFace,
  bite: tooth,
  grow: seedling,
  sweep: broom,
  wipe: sponge,
  rest: zzz,
  give: palmUpHand,
  help: handshake,
  remember: thoughtBalloon,
  guess: thinkingFace,
  cook: cooking,
  freeze: snowflake,
  snip: scissors,
  lick: tongue,
  rub: openHands,
  go: verticalTrafficLight,
  red: redCircle,
  'orange-colour': orangeCircle,
  yellow: yellowCircle,
  green: greenCircle,
  blue: blueCircle,
  white: whiteCircle,
  black: blackCircle,
  brown: brownCircle,
  purple: purpleCircle,
  pink: pinkHeart,
  golden: star,
  wet: sweatDroplets,
  clean: sparkles,
  warm: sun,
  fresh: seedling,
  happy: grinningFace,
  hungry: droolingFace,
  yum: faceSavoringFood,
  yes: checkMarkButton,
  no: crossMark,
  please: foldedHands,
  sorry: foldedHands,
  today: spiralCalendar,
  'all-done': chequeredFlag,
  fast: rabbit,
  slow: turtle,
  hello: wavingHand,
  goodbye: wavingHand,
  'thank-you': foldedHands,
  'well-done': clappingHands,
  'here-you-are': palmUpHand,
  'what-call-home': house,
  'is-it-hot': fire,
  'wash-your-hands': soap,
  enjoy: faceSavoringFood,
  'say-it-together': speakingHead,
  'let-us-cook': cooking,
  'my-turn': indexPointingUp,
  'your-turn': palmUpHand,
}
