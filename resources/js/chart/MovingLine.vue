<script setup lang="ts">
import { computed } from 'vue';
import type { Side } from '@/types/data';
import type { Live, Motion } from './live';
import type { PriceScale } from './scales';

/**
 * The line that is being moved, alone: the others stand still meanwhile. It is a box of its own that is only shifted, so
 * that no frame of a drag lays out or paints the chart.
 */
const props = defineProps<{
    motion: Motion;
    live: Live;
    side: Side;
    x: (index: number) => number;
    y: PriceScale;
    width: number;
    height: number;
}>();

const row = computed(() => props.motion.row.value);
const box = computed(() => {
    if (row.value === null) {
        return null;
    }
    const top = props.y(row.value.high);
    return { top, height: Math.max(0, props.y(row.value.low) - top) };
});
/** It stays where it was while nothing is near: shown and hidden, nothing is laid out anew. */
let place = 'translate(0, 0)';
const dot = computed(() => {
    const snapped = props.live.snapped.value;
    if (snapped !== null) {
        place = `translate(${props.x(snapped.index) - 5}px, ${props.y(snapped.value) - 5}px)`;
    }
    return { transform: place, opacity: snapped === null ? 0 : 1 };
});
</script>

<template>
    <div class="plot" :style="{ width: `${width}px`, height: `${height}px` }" aria-hidden="true">
        <div
            v-if="row !== null && box !== null"
            class="moved"
            :class="[row.kind, row.grade, `is-${side}`]"
            :style="{ transform: `translateY(${box.top}px)`, height: `${box.height}px` }"
        />
        <div class="dot" :style="dot" />
    </div>
</template>

<style scoped>
.plot {
    position: absolute;
    inset: 0 auto auto 0;
    overflow: hidden;
    contain: strict;
    pointer-events: none;
}
.moved,
.dot {
    position: absolute;
    top: 0;
    left: 0;
    will-change: transform;
}
.moved {
    right: 0;
    border-top: 2px solid var(--ink);
    border-bottom: 0 solid var(--ink);
    background: color-mix(in srgb, var(--ink) 14%, transparent);
}
.moved.stop,
.moved.cancel {
    border-color: var(--stop);
}
.moved.entry.is-long,
.moved.target.is-long {
    border-color: var(--long);
}
.moved.entry.is-short,
.moved.target.is-short {
    border-color: var(--short);
}
.dot {
    will-change: transform, opacity;
    width: 10px;
    height: 10px;
    border: 1.5px solid var(--ink);
    border-radius: 50%;
    background: var(--paper);
}
</style>
