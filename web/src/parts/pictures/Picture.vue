<script setup lang="ts">
/** The picture of a step, for those who do not read yet. Pictures ship with the application (MIT, Fluent emoji). */
import alarm from '~icons/fluent-emoji-flat/alarm-clock'
import apple from '~icons/fluent-emoji-flat/red-apple'
import bowl from '~icons/fluent-emoji-flat/bowl-with-spoon'
import bread from '~icons/fluent-emoji-flat/bread'
import brush from '~icons/fluent-emoji-flat/paintbrush'
import butter from '~icons/fluent-emoji-flat/butter'
import carrot from '~icons/fluent-emoji-flat/carrot'
import cheese from '~icons/fluent-emoji-flat/cheese-wedge'
import cucumber from '~icons/fluent-emoji-flat/cucumber'
import cutter from '~icons/fluent-emoji-flat/cookie'
import fridge from '~icons/fluent-emoji-flat/ice'
import herb from '~icons/fluent-emoji-flat/herb'
import jar from '~icons/fluent-emoji-flat/jar'
import lemon from '~icons/fluent-emoji-flat/lemon'
import letters from '~icons/fluent-emoji-flat/input-latin-letters'
import milk from '~icons/fluent-emoji-flat/glass-of-milk'
import oats from '~icons/fluent-emoji-flat/sheaf-of-rice'
import oven from '~icons/fluent-emoji-flat/fire'
import pear from '~icons/fluent-emoji-flat/pear'
import pepper from '~icons/fluent-emoji-flat/bell-pepper'
import pot from '~icons/fluent-emoji-flat/pot-of-food'
import seedling from '~icons/fluent-emoji-flat/seedling'
import soap from '~icons/fluent-emoji-flat/soap'
import yum from '~icons/fluent-emoji-flat/fork-and-knife-with-plate'
import jug from '~icons/fluent-emoji-flat/droplet'
import type { Component } from 'vue'

const PICTURES: Record<string, Component> = {
  alarm,
  apple,
  bowl,
  bread,
  brush,
  butter,
  carrot,
  cheese,
  cucumber,
  cutter,
  dough: bread,
  fridge,
  herb,
  jar,
  jug,
  lemon,
  letters,
  milk,
  oats,
  oven,
  pear,
  pepper,
  pot,
  seedling,
  soap,
  yoghurt: bowl,
  yum,
}
defineProps<{ name: string }>()
</script>

<template>
  <component :is="PICTURES[name] ?? PICTURES['bowl']" aria-hidden="true" />
</template>
