<script setup lang="ts">
import { computed } from 'vue';
import type { PriceLine } from './lines';
import { STUB } from './pointer';
import type { PriceScale, Window } from './scales';

/** Levels and plan prices: a line where it is a single price, a band as thick as its zone, a curve where it moves. */
const props = defineProps<{
    lines: PriceLine[];
    window: Window;
    x: (index: number) => number;
    y: PriceScale;
    width: number;
    height: number;
    chosen: string | null;
    /** whether edges can be pulled */
    handles: boolean;
}>();

/** Half of the square by which an edge is pulled. */
const HANDLE = 4;

const shown = computed(() => props.lines.filter((line) => line.curve !== null || touches(line)));

/** What the cross-check found stands as a stub at the right, so that price can be read; the chosen one in full. */
function left(line: PriceLine): number {
    return line.kind === 'found' && line.key !== props.chosen ? Math.max(0, props.width - STUB) : 0;
}

/** Whether any of it lies in the plot. */
function touches(line: PriceLine): boolean {
    return props.y(line.high) <= props.height + 1 && props.y(line.low) >= -1;
}

function path(values: (number | null)[] | null): string {
    if (values === null) {
        return '';
    }
    let d = '';
    let isOn = false;
    // one more than the last bar: the next session
    for (let i = props.window.first; i <= props.window.last + 1; i++) {
        const value = values[i];
        if (value === null || value === undefined) {
            isOn = false;
        } else {
            d += `${isOn ? 'L' : 'M'}${props.x(i).toFixed(1)},${props.y(value).toFixed(1)}`;
            isOn = true;
        }
    }
    return d;
}
</script>

<template>
    <g class="lines">
        <template v-for="line in shown" :key="line.key">
            <template v-if="line.curve !== null">
                <path
                    class="line curve"
                    :class="[line.kind, line.grade, { chosen: line.key === chosen }]"
                    :d="path(line.curve)"
                />
                <path
                    v-if="line.upper !== null"
                    class="line curve"
                    :class="[line.kind, line.grade, { chosen: line.key === chosen }]"
                    :d="path(line.upper)"
                />
            </template>
            <rect
                v-else-if="line.high > line.low && y(line.low) - y(line.high) >= 2"
                class="band"
                :class="[line.kind, line.grade, { chosen: line.key === chosen }]"
                :x="left(line)"
                :width="width - left(line)"
                :y="y(line.high)"
                :height="y(line.low) - y(line.high)"
            />
            <line
                v-else
                :x1="left(line)"
                :x2="width"
                :y1="y(line.value)"
                :y2="y(line.value)"
                class="line"
                :class="[line.kind, line.grade, line.side, { chosen: line.key === chosen }]"
            />
            <template v-if="handles && line.key === chosen && line.edges">
                <rect
                    v-for="edge in [line.high, line.low]"
                    :key="`${edge === line.high}`"
                    class="handle"
                    :x="width - 44"
                    :y="y(edge) - HANDLE"
                    :width="HANDLE * 2"
                    :height="HANDLE * 2"
                />
            </template>
        </template>
    </g>
</template>

<style scoped>
.line {
    fill: none;
    stroke: var(--ink-3);
    stroke-width: 1;
}
.line.major {
    stroke: var(--ink);
    stroke-width: 2;
}
.line.found {
    stroke-dasharray: 3 3;
    stroke-width: 1;
}
.line.found.major {
    stroke-width: 1.6;
}
.line.found.chosen {
    stroke-dasharray: 6 3;
    stroke-width: 2;
}
.line.last {
    stroke: var(--look);
    stroke-dasharray: 1 3;
}
.line.entry,
.line.target {
    stroke-width: 1.8;
}
.line.entry.long,
.line.target.long {
    stroke: var(--long);
}
.line.entry.short,
.line.target.short {
    stroke: var(--short);
}
.line.target {
    stroke-dasharray: 7 4;
}
.line.stop {
    stroke: var(--stop);
    stroke-width: 1.8;
}
.line.cancel {
    stroke: var(--stop);
    stroke-dasharray: 2 4;
}
.line.chosen {
    stroke-width: 3;
}
.band {
    fill: var(--ink);
    fill-opacity: 0.1;
    stroke: var(--ink-3);
    stroke-width: 0.75;
}
.band.major {
    fill-opacity: 0.2;
    stroke: var(--ink);
}
.band.found {
    fill-opacity: 0.05;
    stroke-opacity: 0.6;
    stroke-dasharray: 3 3;
}
.band.found.major {
    fill-opacity: 0.16;
}
.band.chosen {
    stroke-width: 2;
}
.handle {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 1.5;
}
</style>
