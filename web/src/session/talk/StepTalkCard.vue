<script setup lang="ts">
/** One step: what is said in it, its idea (to change), its words, lines of one's own, and more. */
import { computed, ref } from 'vue'
import type { StepTalk } from '@lea/core/plan'
import { LINE_KINDS, LINE_KIND_WORDS, type LineKind } from '@lea/core/learn'
import { type TalkMoment, factPicture, childrenIn } from '@lea/core/session'
import PartPicture from '../../parts/pictures/PartPicture.vue'
import WordPicture from '../../parts/pictures/WordPicture.vue'
import { useAuthStore } from '../../stores/auth'
import { useSession } from '../../stores/session/session'
import TalkLine from './TalkLine.vue'
import HomeWords from '../../parts/HomeWords.vue'
import StepMore from './StepMore.vue'

const props = defineProps<{ talk: StepTalk; moment: TalkMoment; open: boolean }>()
const session = useSession()
const auth = useAuthStore()
const more = ref(false)
const writing = ref(false)
const turns = ref(false)
interface Own {
  says: string
  answer: string
  child: string
  line: LineKind
}
const own = ref<Own>({ says: '', answer: '', child: '', line: 'question' })
/** The amount of the step's idea, as a picture of its parts. */
const picture = computed(() => factPicture(props.talk.fact))
const toSay = computed(() => `${props.moment.rows.length + props.moment.turns.length} to say`)
const words = computed(() => [...props.talk.words, ...(props.talk.pair ?? [])])
const step = computed(() => session.plan?.schedule.find((s) => s.step === props.talk.step))
const canChange = computed(() => auth.isLeader() && !session.frozen)
const decisions = computed(() => session.stored?.decisions ?? [])
const pinnedIdea = computed(() =>
  decisions.value.find((d) => d.kind === 'idea' && d.step === props.talk.step),
)
const quiet = computed(() => decisions.value.find((d) => d.kind === 'quiet' && d.step === props.talk.step))
const here = computed(() => (session.plan ? childrenIn(session.plan, props.talk.step) : []))
const others = computed(() => here.value.filter((c) => !props.talk.asks?.some((a) => a.child === c)))

function changeIdea(event: Event): void {
  const idea = (event.target as HTMLSelectElement).value
  if (idea === '') {
    if (pinnedIdea.value) void session.takeBack(pinnedIdea.value)
  } else void session.choose({ kind: 'idea', step: props.talk.step, idea })
}
function alsoAsk(event: Event): void {
  const select = event.target as HTMLSelectElement
  const child = select.value
  select.value = ''
  if (child) void session.choose({ kind: 'ask', step: props.talk.step, child })
}
function keepOwn(): void {
  const says = own.value.says.trim()
  if (says === '') return
  void session.choose({
    kind: 'own-prompt',
    step: props.talk.step,
    child: own.value.child || null,
    says,
    answer: own.value.answer.trim(),
    ...(own.value.line !== 'question' && { line: own.value.line }),
  })
  own.value = { says: '', answer: '', child: '', line: 'question' }
  writing.value = false
}
</script>

<template>
  <article class="patch" :aria-labelledby="`talk-${talk.step}`">
    <details :open="open">
      <summary class="flex cursor-pointer flex-wrap items-center gap-x-3 px-4 py-2">
        <span class="numeral text-lg text-soft">{{ step?.at }}</span>
        <h2 :id="`talk-${talk.step}`" class="text-xl">{{ step?.title }}</h2>
        <span class="ml-auto flex items-center gap-2">
          <WordPicture
            v-for="w in words.slice(0, 4)"
            :key="w.id"
            :word="w.id"
            :label="w.word"
            class="size-7"
          />
          <span class="text-sm text-soft">{{ toSay }}</span>
        </span>
      </summary>
      <div class="px-4 pb-4">
        <div class="grid grid-cols-[minmax(0,1fr)] gap-2">
          <div class="min-w-0">
            <div class="flex flex-wrap items-baseline gap-x-3">
              <label
                v-if="canChange && talk.ideas"
                class="flex min-w-0 items-center gap-2 text-sm text-moss sm:ml-auto"
              >
                <span>to find</span>
                <select
                  class="field !w-auto min-w-0 max-w-full !py-1 text-ink"
                  :value="pinnedIdea ? talk.idea : ''"
                  @change="changeIdea"
                >
                  <option value="">
                    {{
                      pinnedIdea
                        ? 'let Lea choose'
                        : (talk.ideas.find((i) => i.id === talk.idea)?.says ?? 'only words')
                    }}
                  </option>
                  <option v-for="i in talk.ideas" :key="i.id" :value="i.id">{{ i.says }}</option>
                  <option value="tell">only words</option>
                </select>
              </label>
              <span v-else-if="talk.ideas" class="ml-auto text-sm text-moss">{{
                talk.ideas.find((i) => i.id === talk.idea)?.says ?? 'only words'
              }}</span>
            </div>
            <PartPicture v-if="picture" :picture="picture" :size="36" lined class="mt-1" />
            <ul class="mt-2">
              <TalkLine v-for="r in moment.rows" :key="r.key" :row="r" :step="talk.step" />
              <li v-if="(talk.asks ?? []).length === 0" class="border-t border-line py-1.5 text-soft">
                {{ quiet ? 'You asked for quiet here: nobody' : 'Nobody' }} is asked here. Name what you see
                and do.
              </li>
            </ul>
            <template v-if="moment.turns.length > 0">
              <button
                type="button"
                class="btn mt-1 !min-h-9 text-sm"
                :aria-expanded="turns"
                @click="turns = !turns"
              >
                {{ turns ? 'Fold the turns' : `${moment.turns.length} to say in the turns` }}
              </button>
              <ul v-if="turns" class="mt-1">
                <TalkLine v-for="r in moment.turns" :key="r.key" :row="r" :step="talk.step" />
              </ul>
            </template>
          </div>
          <ul
            class="grid gap-x-6 border-l-4 border-double border-indigo pl-3 sm:grid-cols-2"
            aria-label="Words of this step"
          >
            <li v-for="w in words" :key="w.id" class="flex items-start gap-2 py-1">
              <WordPicture :word="w.id" :label="w.word" class="size-9 shrink-0" />
              <span
                ><strong class="block text-lg leading-tight">{{ w.word }}</strong
                ><HomeWords :home="w.home"
              /></span>
            </li>
          </ul>
        </div>
        <div class="no-print mt-2 flex flex-wrap items-center gap-2">
          <button type="button" class="btn !min-h-9 text-sm" :aria-expanded="more" @click="more = !more">
            {{ more ? 'Less' : 'More words, by age, science' }}
          </button>
          <template v-if="canChange">
            <select
              v-if="others.length > 0"
              class="field !w-auto !py-1 text-sm"
              :aria-label="`Ask in ${step?.title} also`"
              @change="alsoAsk"
            >
              <option value="">ask also …</option>
              <option v-for="c in others" :key="c" :value="c">{{ session.nameOf(c) }}</option>
            </select>
            <button
              type="button"
              class="btn !min-h-9 text-sm"
              :aria-expanded="writing"
              @click="writing = !writing"
            >
              Your own words
            </button>
            <button
              type="button"
              class="btn !min-h-9 text-sm"
              :aria-pressed="quiet !== undefined"
              @click="quiet ? session.takeBack(quiet) : session.choose({ kind: 'quiet', step: talk.step })"
            >
              {{ quiet ? 'Ask here again' : 'No questions here' }}
            </button>
          </template>
        </div>
        <form
          v-if="writing"
          class="mt-2 grid gap-2 sm:grid-cols-[2fr_9rem_1fr_10rem_auto]"
          @submit.prevent="keepOwn"
        >
          <label class="text-sm font-semibold"
            >What to say<input v-model="own.says" class="field mt-1 font-normal" maxlength="240" required
          /></label>
          <label class="text-sm font-semibold"
            >Sort<select v-model="own.line" class="field mt-1 font-normal">
              <option v-for="k in LINE_KINDS" :key="k" :value="k">{{ LINE_KIND_WORDS[k] }}</option>
            </select></label
          >
          <label class="text-sm font-semibold"
            >Answer<input v-model="own.answer" class="field mt-1 font-normal" maxlength="120"
          /></label>
          <label class="text-sm font-semibold"
            >To<select v-model="own.child" class="field mt-1 font-normal">
              <option value="">everybody</option>
              <option v-for="c in here" :key="c" :value="c">{{ session.nameOf(c) }}</option>
            </select></label
          >
          <button type="submit" class="btn btn-main self-end">Save it</button>
        </form>
        <StepMore v-if="more" :talk="talk" class="mt-3" />
      </div>
    </details>
  </article>
</template>
