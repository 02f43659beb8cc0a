<script setup lang="ts">
import { plugsOf, type Card } from '@sure-spool/core'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import PlugFace from '../drawings/PlugFace.vue'
import ScreenKey from '../keys/ScreenKey.vue'
import PhotoField from '../photos/PhotoField.vue'
import { useBench } from '../store/bench'
import { usePhotos } from '../store/photos'
import { lookWords } from '../words/kinds'
import { looksOffered, type PlainStepActs } from './usePlainStep'

/** A look: what is seen by its digit; where, tapped on the plug or on a photo of the part; the rest in words. */
const props = defineProps<{ acts: PlainStepActs }>()
const bench = useBench()
const photos = usePhotos()
const card = computed<Card | undefined>(() => bench.run?.card)
const plugs = computed(() =>
  card.value ? plugsOf(card.value, bench.run?.unit.variant).filter(({ cavities }) => cavities.length > 0) : [],
)
const labelOf = (id: string) => card.value?.terminals.find((one) => one.id === id)?.label ?? id
const ringed = computed(() =>
  (card.value?.terminals ?? []).filter(({ label }) => label === props.acts.place.value).map(({ id }) => id),
)
const seen = computed(() => props.acts.seen.value)
const isFault = computed(() => props.acts.isFault.value)
const words = computed({ get: () => props.acts.words.value, set: (text) => props.acts.write(text) })
const keepLabel = computed(() =>
  seen.value.length === 0
    ? `nothing to be seen${props.acts.place.value === undefined ? '' : ` at ${props.acts.place.value}`}`
    : `keep: ${seen.value.map((one) => lookWords[one]).join(', ')}${props.acts.place.value === undefined ? '' : ` at ${props.acts.place.value}`}`,
)
</script>

<template>
  <div class="choices">
    <ScreenKey
      v-for="(what, i) in looksOffered"
      :key="what"
      act="seen"
      :at="i"
      :label="lookWords[what]"
      :main="seen.includes(what)"
      :aria-pressed="seen.includes(what)"
    />
  </div>
  <p class="field-of">
    <label class="field-label" for="look-words">where and what, if anything</label
    ><InputText
      id="look-words"
      v-model="words"
      maxlength="2000"
      autocomplete="off"
      @keydown.enter.prevent="acts.keepLook()"
    />
  </p>
  <p class="keep">
    <ScreenKey main act="keepLook" :label="keepLabel" />
    <ScreenKey v-if="seen.length > 0" act="fault" :aria-pressed="isFault" :main="isFault" />
  </p>
  <div class="where">
    <PhotoField cap="f" />
    <template v-if="card && !photos.pending && plugs.length > 0">
      <PlugFace
        v-for="plug in plugs"
        :key="plug.id"
        :card="card"
        :plug="plug"
        touchable
        :ring="ringed"
        :flipped="false"
        :turns="0"
        @touch="acts.at(labelOf($event))"
      />
      <p class="muted">
        {{ acts.place.value === undefined ? 'tap it, where it is at one of these' : `at ${acts.place.value}` }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.keep {
  display: flex;
  gap: 12px;
}
.where {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 8px 20px;
  --photo-height: 150px;
}
.where :deep(.face) {
  flex: 1 1 170px;
  max-width: 250px;
}
.where > .muted {
  flex-basis: 100%;
}
.choices {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 10px;
}
.choices :deep(.key-button) {
  width: 100%;
  padding-inline: 8px;
  gap: 8px;
}
@media (max-width: 1100px) {
  .choices {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
