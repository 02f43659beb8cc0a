<script setup lang="ts">
import { sections } from './sections'

/** The sections of the card one below the other; each is a form of its own. */
const elementOf = (id: string) => document.getElementById(`section-${id}`)

function goTo(id: string): void {
  const section = elementOf(id)
  section?.scrollIntoView({ block: 'start' })
  section?.querySelector<HTMLElement>('input, [role="combobox"], textarea, button')?.focus()
}
/** To the section after, or before, the one that has the cursor. */
function stride(by: 1 | -1): void {
  const here = sections.findIndex(({ id }) => elementOf(id)?.contains(document.activeElement))
  const next = sections[Math.min(sections.length - 1, Math.max(0, here + by))]
  if (next) goTo(next.id)
}
defineExpose({ goTo, stride })
</script>

<template>
  <div class="form" tabindex="-1">
    <section
      v-for="one in sections"
      :id="`section-${one.id}`"
      :key="one.id"
      class="section"
      :aria-labelledby="`head-${one.id}`"
    >
      <h2 :id="`head-${one.id}`">{{ one.label }}</h2>
      <component :is="one.form" />
    </section>
  </div>
</template>

<style scoped>
.form {
  overflow: auto;
  padding: 0 20px 40vh;
}
.section {
  padding: 14px 0 18px;
  border-bottom: 1px solid var(--hairline);
  display: grid;
  gap: 8px;
}
.section h2 {
  font-size: 19px;
}
.section :deep(.fields) {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
}
.section :deep(.two) {
  grid-column: span 2;
}
.section :deep(.wide) {
  grid-column: 1 / -1;
}
.section :deep(.rows) {
  display: grid;
  gap: 10px;
}
.section :deep(.row) {
  display: grid;
  gap: 8px 10px;
  align-items: start;
  padding-bottom: 10px;
  border-bottom: 1px dashed var(--hairline);
}
.section :deep(.row > .key-button) {
  margin-top: 24px;
}
.section :deep(.adds) {
  display: flex;
  gap: 6px 16px;
  flex-wrap: wrap;
  align-items: center;
}
@media (max-width: 1100px) {
  .section :deep(.fields),
  .section :deep(.row) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .section :deep(.plug),
  .section :deep(.check) {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 900px) {
  .form {
    padding-bottom: 20px;
  }
}
</style>
