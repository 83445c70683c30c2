<script setup lang="ts">
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue';
import { signed } from '@/lib/price';
import type { Side } from '@/types/data';
import type { Motion } from './live';
import type { PriceScale } from './scales';

/** The row of the ladder that is being moved, at its place on the scale; the others stand still meanwhile. */
const props = defineProps<{ motion: Motion; y: PriceScale; height: number; rowHeight: number; left: number; side: Side }>();

/** The row follows every frame; its figures change as fast as they can be read, since text is what costs. */
const FIGURES = 200;

const row = computed(() => props.motion.row.value);
const told = shallowRef(row.value);
let resting: number | undefined;
watch(row, () => {
    resting ??= window.setTimeout(() => {
        resting = undefined;
        told.value = row.value;
    }, FIGURES);
});
onBeforeUnmount(() => window.clearTimeout(resting));

const top = computed(() =>
    row.value === null ? 0 : Math.max(0, Math.min(props.height, props.y(row.value.value))) - props.rowHeight / 2,
);
</script>

<template>
    <div
        v-if="row !== null"
        class="moving-row"
        :class="[row.kind, `is-${side}`]"
        aria-hidden="true"
        :style="{
            transform: `translateY(${top}px)`,
            left: `${left}px`,
            height: `${rowHeight}px`,
            lineHeight: `${rowHeight - 2}px`,
        }"
    >
        <template v-if="told !== null">
            <b>{{ told.price }}</b>
            <span class="origin">{{ told.span || told.label }}</span>
            <span>{{ signed(told.percent, 1) }}</span>
            <span></span>
            <span>{{ told.r === null ? '' : signed(told.r, 1) }}</span>
        </template>
    </div>
</template>

<style scoped>
.moving-row {
    position: absolute;
    top: 0;
    right: 0;
    contain: strict;
    will-change: transform;
    z-index: 1;
    display: grid;
    grid-template-columns: 58px minmax(0, 1fr) 40px 34px 34px;
    column-gap: 5px;
    padding: 0 6px;
    border: 1px solid var(--ink);
    background: var(--sheet);
    font-size: 13px;
    pointer-events: none;
}
.moving-row > * {
    text-align: right;
    white-space: nowrap;
}
.moving-row .origin {
    overflow: hidden;
    text-align: left;
    text-overflow: ellipsis;
}
.entry.is-long,
.target.is-long {
    border-color: var(--long);
}
.entry.is-short,
.target.is-short {
    border-color: var(--short);
}
.stop {
    border-color: var(--stop);
}
</style>
