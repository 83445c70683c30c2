<script setup lang="ts">
import { computed } from 'vue';
import type { RScaleData } from '@/types/data';
import type { Live } from './live';
import { measured, type Point } from './measure';
import type { PriceScale } from './scales';

/** What follows the pointer: the crosshair, the line about to be marked, the points picked, the measure. */
const props = defineProps<{
    live: Live;
    x: (index: number) => number;
    y: PriceScale;
    width: number;
    height: number;
    bottom: number;
    decimals: number;
    picked: Point[] | null;
    moving: string | null;
    atr: number | null;
    scale: RScaleData | null;
}>();

const hover = computed(() => props.live.hover.value);
const ghost = computed(() => props.live.ghost.value);
const snapped = computed(() => props.live.snapped.value);
const at = computed(() => ghost.value ?? hover.value?.y ?? 0);
const points = computed(() => (props.picked ?? []).map((point) => ({ x: props.x(point.index), y: props.y(point.value) })));
const measure = computed(() => {
    const way = props.live.measuring.value;
    return way === null
        ? null
        : {
              x1: props.x(way.from.index),
              y1: props.y(way.from.value),
              x2: props.x(way.to.index),
              y2: props.y(way.to.value),
              words: measured(way.from, way.to, props.decimals, props.atr, props.scale),
          };
});

function figure(value: number): string {
    return value.toFixed(props.decimals);
}
</script>

<template>
    <g aria-hidden="true">
        <line v-if="ghost !== null && picked === null" class="ghost" x1="0" :x2="width" :y1="ghost" :y2="ghost" />
        <template v-if="picked !== null">
            <circle v-for="(point, i) in points" :key="i" class="point" :cx="point.x" :cy="point.y" r="4" />
            <line
                v-if="points.length > 0 && hover !== null"
                class="ghost"
                :x1="points[points.length - 1]?.x"
                :y1="points[points.length - 1]?.y"
                :x2="snapped === null ? hover.x : x(snapped.index)"
                :y2="at"
            />
        </template>
        <circle v-if="snapped !== null" class="point" :cx="x(snapped.index)" :cy="y(snapped.value)" r="4" />
        <g v-if="hover !== null && moving === null" class="cross">
            <line :x1="x(hover.index)" :x2="x(hover.index)" y1="0" :y2="bottom" />
            <line x1="0" :x2="width" :y1="at" :y2="at" />
            <rect :x="width + 1" :y="at - 9" width="62" height="18" />
            <text :x="width + 60" :y="at + 4" text-anchor="end">{{ figure(snapped?.value ?? y.invert(hover.y)) }}</text>
        </g>
        <g v-if="measure !== null" class="measure">
            <line :x1="measure.x1" :y1="measure.y1" :x2="measure.x2" :y2="measure.y2" />
            <circle :cx="measure.x1" :cy="measure.y1" r="3" />
            <circle :cx="measure.x2" :cy="measure.y2" r="3" />
            <g
                :transform="`translate(${Math.min(measure.x2 + 8, width - 84)},${Math.max(4, Math.min(measure.y2 - 20, height - measure.words.length * 15 - 8))})`"
            >
                <rect width="80" :height="measure.words.length * 15 + 6" />
                <text v-for="(word, i) in measure.words" :key="i" x="74" :y="15 + i * 15" text-anchor="end">{{ word }}</text>
            </g>
        </g>
    </g>
</template>

<style scoped>
text {
    font-size: 12px;
}
.ghost {
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 4 3;
}
.cross line {
    stroke: var(--ink-3);
    stroke-dasharray: 2 3;
}
.cross rect {
    fill: var(--ink);
}
.cross text {
    fill: var(--paper);
}
.point {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.5;
}
.measure line {
    stroke: var(--ink);
    stroke-width: 1.5;
}
.measure circle {
    fill: var(--ink);
}
.measure rect {
    fill: var(--sheet);
    stroke: var(--hair-2);
}
.measure text {
    fill: var(--ink);
    font-weight: 600;
}
</style>
