<script setup lang="ts">
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed } from 'vue';
import type { PayoffPointData } from '@/types/data';

/** What a position in options gains at expiry at every price, with the prices of the setup on it. */
const props = defineProps<{ points: PayoffPointData[]; side: 'long' | 'short'; width: number }>();

const HEIGHT = 120;
const TOP = 16;
const BOTTOM = 18;

const corners = computed(() => props.points.filter((point) => point.kind === 'corner'));
const marks = computed(() => props.points.filter((point) => !['corner', 'break_even'].includes(point.kind)));
const evens = computed(() => props.points.filter((point) => point.kind === 'break_even'));
const x = computed(() => {
    const values = corners.value.map(({ value }) => value);
    return scaleLinear()
        .domain([Math.min(...values), Math.max(...values)])
        .range([4, props.width - 4]);
});
const y = computed(() => {
    const gains = [0, ...props.points.map(({ gain }) => gain)];
    return scaleLinear()
        .domain([Math.min(...gains), Math.max(...gains)])
        .range([HEIGHT - BOTTOM, TOP]);
});
const first = computed(() => corners.value[0]);
const path = computed(() =>
    line<PayoffPointData>(
        (point) => x.value(point.value),
        (point) => y.value(point.gain),
    )(corners.value),
);
/** Labels keep clear of each other and of the edges. */
const labels = computed(() => {
    let end = -Infinity;
    return [...marks.value]
        .sort((a, b) => a.value - b.value)
        .map((mark) => {
            const text = mark.label.replace('at the ', '').replace('at ', '');
            const half = text.length * 3 + 2;
            const at = Math.min(Math.max(x.value(mark.value), half, end + half), props.width - half);
            end = at + half;
            return { ...mark, text, at };
        });
});
</script>

<template>
    <svg :width="width" :height="HEIGHT" role="img" aria-label="What it gains at expiry, by price">
        <line class="zero" x1="0" :x2="width" :y1="y(0)" :y2="y(0)" />
        <g v-for="mark in labels" :key="mark.label" :class="[mark.kind, side]">
            <line :x1="x(mark.value)" :x2="x(mark.value)" :y1="TOP" :y2="HEIGHT - BOTTOM" />
            <text :x="mark.at" y="11">{{ mark.text }}</text>
            <circle :cx="x(mark.value)" :cy="y(mark.gain)" r="2.5" />
        </g>
        <path :d="path ?? ''" />
        <text v-if="first" class="level" x="4" :y="y(first.gain) + (first.gain < 0 ? -5 : 13)">{{ first.told }}</text>
        <g v-for="even in evens" :key="even.price" class="even">
            <line :x1="x(even.value)" :x2="x(even.value)" :y1="y(0) - 4" :y2="y(0) + 4" />
            <text :x="Math.min(Math.max(x(even.value), 20), width - 20)" :y="HEIGHT - 5">{{ even.price }}</text>
        </g>
    </svg>
</template>

<style scoped>
path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
}
.zero {
    stroke: var(--ink-3);
}
text {
    font-size: 11px;
    text-anchor: middle;
    fill: var(--ink-2);
}
text.level {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
    text-anchor: start;
}
g line {
    stroke-dasharray: 2 3;
    stroke: currentColor;
}
g circle {
    fill: currentColor;
}
.stop {
    color: var(--stop);
}
.entry.long,
.target.long {
    color: var(--long);
}
.entry.short,
.target.short {
    color: var(--short);
}
.stop text,
.entry text,
.target text {
    fill: currentColor;
}
.even line {
    stroke: var(--ink);
    stroke-dasharray: none;
}
</style>
