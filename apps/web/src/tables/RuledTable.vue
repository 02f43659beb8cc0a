<script setup lang="ts" generic="Row extends object">
import DataTable from 'primevue/datatable'
import { computed } from 'vue'
import '../look/controls/tables'

/**
 * A table with thin lines; its columns stand in the slot. With `rowHeight`, long lists draw only the rows that are in sight, each of
 * exactly that height.
 */
const props = defineProps<{
  rows: Row[]
  /** what it is a table of, for who cannot see it */
  label: string
  rowKey: string
  /** px; rows keep it, and what does not fit in a cell is cut with an ellipsis */
  rowHeight?: number
  rowClass?: (row: Row) => string | undefined
}>()
const emit = defineEmits<{ end: []; open: [row: Row] }>()
const fewest = 60
const isLong = computed(() => props.rowHeight !== undefined && props.rows.length > fewest)
const scroller = computed(() =>
  isLong.value
    ? {
        virtualScrollerOptions: {
          itemSize: props.rowHeight,
          delay: 0,
          onScrollIndexChange: ({ last }: { last: number }) => last >= props.rows.length - 5 && emit('end'),
        },
        scrollable: true,
        scrollHeight: 'flex',
      }
    : {},
)
</script>

<template>
  <DataTable
    class="ruled"
    :class="{ long: isLong, even: rowHeight !== undefined }"
    :style="rowHeight === undefined ? undefined : { '--row-height': `${rowHeight}px` }"
    :value="rows"
    :data-key="rowKey"
    :row-class="rowClass"
    v-bind="scroller"
    :pt="{ table: { 'aria-label': label, 'aria-rowcount': rows.length + 1 } }"
    @row-click="emit('open', $event.data)"
  >
    <slot />
    <template v-if="$slots['empty']" #empty><slot name="empty" /></template>
  </DataTable>
</template>

<style>
.ruled {
  min-height: 0;
  font-size: 16px;
}
.ruled.long {
  flex: 1;
  min-height: 240px;
}
.ruled .p-datatable-header-cell {
  font-size: 15px;
  vertical-align: bottom;
}
.ruled .p-datatable-thead > tr > th,
.ruled .p-datatable-tbody > tr > td {
  vertical-align: top;
  overflow-wrap: anywhere;
}
.ruled.even .p-datatable-tbody > tr {
  height: var(--row-height);
}
.ruled.even .p-datatable-tbody > tr > td {
  height: var(--row-height);
  max-width: 0;
  padding-block: 0;
  vertical-align: middle;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.ruled small {
  font-size: 15px;
}
</style>
