/** Packaged pictures of words (MIT, Fluent emoji): only those that are used are taken in. */
import type { Component } from 'vue'
import { MORE_WORD_ICONS } from './more-word-icons'
import backhandIndexPointingDown from '~icons/fluent-emoji-flat/backhand-index-pointing-down'
import balanceScale from '~icons/fluent-emoji-flat/balance-scale'
import banana from '~icons/fluent-emoji-flat/banana'
import beans from '~icons/fluent-emoji-flat/beans'
import bellPepper from '~icons/fluent-emoji-flat/bell-pepper'
import bowlWithSpoon from '~icons/fluent-emoji-flat/bowl-with-spoon'
import bread from '~icons/fluent-emoji-flat/bread'
import bubbles from '~icons/fluent-emoji-flat/bubbles'
import butter from '~icons/fluent-emoji-flat/butter'
import carrot from '~icons/fluent-emoji-flat/carrot'
import cheeseWedge from '~icons/fluent-emoji-flat/cheese-wedge'
import cookedRice from '~icons/fluent-emoji-flat/cooked-rice'
import cookie from '~icons/fluent-emoji-flat/cookie'
import cucumber from '~icons/fluent-emoji-flat/cucumber'
import droplet from '~icons/fluent-emoji-flat/droplet'
import earOfCorn from '~icons/fluent-emoji-flat/ear-of-corn'
import egg from '~icons/fluent-emoji-flat/egg'
import eggplant from '~icons/fluent-emoji-flat/eggplant'
import eyes from '~icons/fluent-emoji-flat/eyes'
import fire from '~icons/fluent-emoji-flat/fire'
import forkAndKnife from '~icons/fluent-emoji-flat/fork-and-knife'
import forkAndKnifeWithPlate from '~icons/fluent-emoji-flat/fork-and-knife-with-plate'
import garlic from '~icons/fluent-emoji-flat/garlic'
import glassOfMilk from '~icons/fluent-emoji-flat/glass-of-milk'
import herb from '~icons/fluent-emoji-flat/herb'
import honeyPot from '~icons/fluent-emoji-flat/honey-pot'
import ice from '~icons/fluent-emoji-flat/ice'
import inputNumbers from '~icons/fluent-emoji-flat/input-numbers'
import kitchenKnife from '~icons/fluent-emoji-flat/kitchen-knife'
import leafyGreen from '~icons/fluent-emoji-flat/leafy-green'
import lemon from '~icons/fluent-emoji-flat/lemon'
import mango from '~icons/fluent-emoji-flat/mango'
import nose from '~icons/fluent-emoji-flat/nose'
import onion from '~icons/fluent-emoji-flat/onion'
import openHands from '~icons/fluent-emoji-flat/open-hands'
import paintbrush from '~icons/fluent-emoji-flat/paintbrush'
import peaPod from '~icons/fluent-emoji-flat/pea-pod'
import potato from '~icons/fluent-emoji-flat/potato'
import raisedHand from '~icons/fluent-emoji-flat/raised-hand'
import redApple from '~icons/fluent-emoji-flat/red-apple'
import salt from '~icons/fluent-emoji-flat/salt'
import scissors from '~icons/fluent-emoji-flat/scissors'
import shallowPanOfFood from '~icons/fluent-emoji-flat/shallow-pan-of-food'
import sheafOfRice from '~icons/fluent-emoji-flat/sheaf-of-rice'
import soap from '~icons/fluent-emoji-flat/soap'
import spoon from '~icons/fluent-emoji-flat/spoon'
import strawberry from '~icons/fluent-emoji-flat/strawberry'
import tangerine from '~icons/fluent-emoji-flat/tangerine'
import teacupWithoutHandle from '~icons/fluent-emoji-flat/teacup-without-handle'
import teapot from '~icons/fluent-emoji-flat/teapot'
import timerClock from '~icons/fluent-emoji-flat/timer-clock'
import tomato from '~icons/fluent-emoji-flat/tomato'
import tongue from '~icons/fluent-emoji-flat/tongue'

export const WORD_ICONS: Record<string, Component> = {
  ...MORE_WORD_ICONS,
  apple: redApple,
  banana: banana,
  orange: tangerine,
  lemon: lemon,
  strawberry: strawberry,
  mango: mango,
  tomato: tomato,
  cucumber: cucumber,
  carrot: carrot,
  potato: potato,
  onion: onion,
  garlic: garlic,
  'sweet-pepper': bellPepper,
  spinach: leafyGreen,
  peas: peaPod,
  sweetcorn: earOfCorn,
  aubergine: eggplant,
  coriander: herb,
  mint: herb,
  beans: beans,
  rice: cookedRice,
  bread: bread,
  oats: sheafOfRice,
  egg: egg,
  milk: glassOfMilk,
  butter: butter,
  cheese: cheeseWedge,
  water: droplet,
  salt: salt,
  honey: honeyPot,
  yeast: bubbles,
  bowl: bowlWithSpoon,
  spoon: spoon,
  cup: teacupWithoutHandle,
  plate: forkAndKnifeWithPlate,
  fork: forkAndKnife,
  knife: kitchenKnife,
  cutter: cookie,
  brush: paintbrush,
  saucepan: shallowPanOfFood,
  scales: balanceScale,
  timer: timerClock,
  oven: fire,
  fridge: ice,
  wash: soap,
  pour: teapot,
  stir: bowlWithSpoon,
  cut: scissors,
  squeeze: lemon,
  spread: butter,
  sprinkle: salt,
  weigh: balanceScale,
  count: inputNumbers,
  open: openHands,
  smell: nose,
  taste: tongue,
  look: eyes,
  touch: backhandIndexPointingDown,
  stop: raisedHand,
}
