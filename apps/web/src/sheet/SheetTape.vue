<script setup lang="ts">
import type { RunState } from '@sure-spool/core'
import { computed } from 'vue'
import { useFigures } from '../words/figures'
import { cautionFoot, isolationWords, lookWords } from '../words/kinds'
import PhotoStrip from '../photos/PhotoStrip.vue'
import { runPhotos } from '../words/looks'
import { clock } from '../words/times'
import ReadingsTable from './ReadingsTable.vue'
import { alsoOnTape, remarkRows, standingOf } from './useSheet'

/** What was seen, every reading with its arithmetic, the remarks with their answers, and what else stands on the tape. */
const props = defineProps<{ state: RunState }>()
const figures = useFigures()
const photos = computed(() => runPhotos(props.state))
const looks = computed(() => standingOf(props.state, 'look'))
const isolation = computed(() => standingOf(props.state, 'isolation').at(-1))
const cautioned = computed(() => props.state.run.entries.filter((entry) => entry.kind === 'caution').length)
const remarks = computed(() => remarkRows(props.state, figures))
const also = computed(() => alsoOnTape(props.state.run))
</script>

<template>
  <section>
    <h2>Seen</h2>
    <p v-for="look in looks" :key="look.id">
      {{ clock(look.at) }} {{ look.place }}:
      <strong>{{ look.what.map((what) => lookWords[what]).join(', ') }}</strong><template v-if="look.words"
        >, {{ look.words }}</template
      >
    </p>
    <PhotoStrip :photos="photos" />
    <p v-if="isolation">
      {{ clock(isolation.at) }} {{ isolationWords[isolation.state] }}; {{ cautioned }} cautions acknowledged.
      {{ cautionFoot }}
    </p>
  </section>
  <section>
    <h2>Readings <span class="thin">in the order taken; brackets: limits; block: reading with ±2u</span></h2>
    <ReadingsTable :state="state" />
  </section>
  <section v-if="remarks.length > 0">
    <h2>Remarks, and the answers given</h2>
    <p v-for="one in remarks" :key="one.key" class="remark">
      <span class="n">{{ one.at }}</span><span>{{ one.severity }}</span
      ><span>{{ one.what }} {{ one.todo }}</span
      ><span>{{ one.answer }}</span>
    </p>
  </section>
  <section v-if="also.length > 0">
    <h2>Also on the tape</h2>
    <p v-for="one in also" :key="one.id" class="remark">
      <span class="n">{{ one.at }}</span><span>{{ one.kind }}</span
      ><span>{{ one.words }}</span>
    </p>
  </section>
</template>

<style scoped>
.thin {
  font-weight: 400;
  margin-left: 8px;
}
.remark {
  display: grid;
  grid-template-columns: 46px 44px minmax(0, 1fr) 200px;
  gap: 10px;
}
</style>
