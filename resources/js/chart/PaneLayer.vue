<script setup lang="ts">
import { computed } from 'vue';
import type { ChartData } from '@/types/data';
import { paneFigure, placePanes } from './panes';
import type { Window } from './scales';
import { averagePath, paneBars } from './shapes';

/** The panes below price, without their figures, which follow the pointer. */
const props = defineProps<{
    chart: ChartData;
    window: Window;
    x: (index: number) => number;
    step: number;
    top: number;
    width: number;
    /** without figures at the side, for print */
    plain: boolean;
}>();

const panes = computed(() =>
    placePanes(props.chart, props.window, props.top).map((placed) => ({
        ...placed,
        lines: placed.pane.lines.map((one) => ({
            name: one.name,
            path: one.bars
                ? paneBars(one.values, props.window, props.x, placed.y, props.step)
                : averagePath(one.values, props.window, props.x, placed.y),
            bars: one.bars,
        })),
    })),
);
</script>

<template>
    <g v-for="placed in panes" :key="placed.pane.kind" class="pane">
        <line class="frame" x1="0" :x2="width" :y1="placed.top + placed.height" :y2="placed.top + placed.height" />
        <template v-if="!plain">
            <template v-for="tick in placed.ticks" :key="tick">
                <line class="guide" x1="0" :x2="width + 4" :y1="placed.y(tick)" :y2="placed.y(tick)" />
                <text :x="width + 60" :y="placed.y(tick) + 4" text-anchor="end">
                    {{ paneFigure(tick, ['ratio', 'macd'].includes(placed.pane.kind) ? placed.pane.decimals : 0) }}
                </text>
            </template>
        </template>
        <path
            v-for="(one, i) in placed.lines"
            :key="one.name"
            :class="one.bars ? 'volume' : ['average', `line-${i}`]"
            :d="one.path"
        />
    </g>
</template>

<style scoped>
text {
    font-size: 12px;
    fill: var(--ink-2);
}
.frame {
    stroke: var(--hair-2);
    shape-rendering: crispEdges;
}
.guide {
    stroke: var(--hair-2);
    stroke-dasharray: 2 3;
}
.volume {
    fill: var(--volume);
}
.average {
    fill: none;
    stroke: var(--ink-3);
    stroke-width: 1.2;
}
.line-1 {
    stroke-dasharray: 4 2;
}
.line-2 {
    stroke-dasharray: 1.5 2;
}
</style>
