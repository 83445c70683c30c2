<script setup lang="ts">
import { computed } from 'vue';
import type { ChartData } from '@/types/data';
import type { Live } from './live';
import { paneFigure, placePanes } from './panes';
import type { Window } from './scales';

/** The names of the panes with their values at the pointer; plain without what is said beside them, for print. */
const props = defineProps<{ chart: ChartData; window: Window; top: number; live: Live; plain: boolean }>();

const panes = computed(() => placePanes(props.chart, props.window, props.top));
const index = computed(() => Math.min(props.live.hover.value?.index ?? props.window.last, props.chart.sessions.length - 1));
</script>

<template>
    <text v-for="placed in panes" :key="placed.pane.kind" class="pane-name" x="4" :y="placed.top + 12">
        <tspan class="strong">{{ placed.pane.label }}</tspan>
        <template v-for="one in placed.pane.lines" :key="one.name">
            <tspan dx="8">{{ one.name }}</tspan>
            <tspan dx="3" class="strong">{{ paneFigure(one.values[index], placed.pane.decimals) }}</tspan>
        </template>
        <tspan v-if="placed.pane.note && !plain" dx="8">{{ placed.pane.note }}</tspan>
    </text>
</template>

<style scoped>
.pane-name {
    font-size: 11px;
    fill: var(--ink-3);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
}
.strong {
    font-weight: 600;
    fill: var(--ink-2);
}
</style>
