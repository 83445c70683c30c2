<script setup lang="ts">
import { computed } from 'vue';
import type { ChartData } from '@/types/data';
import type { PriceScale, Window } from './scales';
import { candlePaths } from './shapes';

/** The bars of a chart in ink: a few paths for all of them, so that hundreds are drawn as fast as ten. */
const props = defineProps<{
    chart: ChartData;
    window: Window;
    x: (index: number) => number;
    y: PriceScale;
    step: number;
}>();

const paths = computed(() => candlePaths(props.chart, props.window, props.x, props.y, props.step));
</script>

<template>
    <g class="candles">
        <path class="wicks" :d="paths.wicks" />
        <path class="falling" :d="paths.falling" />
        <path class="rising" :d="paths.rising" />
        <g v-if="paths.outsideWicks" class="outside">
            <path class="wicks" :d="paths.outsideWicks" />
            <path class="falling" :d="paths.outsideFalling" />
            <path class="rising" :d="paths.outsideRising" />
        </g>
        <path v-if="paths.unfinished" class="unfinished" :class="{ rising: paths.unfinishedRises }" :d="paths.unfinished" />
    </g>
</template>

<style scoped>
path {
    stroke: var(--ink);
    stroke-width: 1;
    fill: none;
}
.falling,
.unfinished {
    fill: var(--ink);
}
.rising,
.unfinished.rising {
    fill: var(--paper);
}
.unfinished {
    stroke-dasharray: 2 1.5;
}
.outside {
    opacity: 0.45;
}
</style>
