<script setup lang="ts">
import { computed } from 'vue';
import type { ChartData, LadderRowData, Side } from '@/types/data';
import { lineOf } from './lines';
import PriceChart from './PriceChart.vue';
import { DATE_AXIS, lastBars, priceScale } from './scales';

/** A larger time frame beside the chart, with the same levels on it. */
const props = defineProps<{
    chart: ChartData;
    rows: LadderRowData[];
    sessions: string[];
    side: Side;
    log: boolean;
    width: number;
    height: number;
    name: string;
    chosen: string | null;
}>();

const BARS = 60;

const drawn = computed<ChartData>(() => ({ ...props.chart, averages: [], marks: [] }));
const window = computed(() => lastBars(drawn.value, BARS));
const y = computed(() => priceScale(drawn.value, window.value, [], props.height - DATE_AXIS, { log: props.log }));
const lines = computed(() =>
    props.rows
        .filter((row) => row.kind !== 'found' && row.kind !== 'last')
        .map((row) => lineOf(row, props.side, drawn.value, props.sessions)),
);
</script>

<template>
    <PriceChart
        class="beside"
        :chart="drawn"
        :window="window"
        :y="y"
        :width="width"
        :height="height"
        :lines="lines"
        :scale="null"
        :name="`${name}, larger`"
        :chosen="chosen"
        small
        silent
        inside
    />
</template>

<style scoped>
.beside {
    flex: none;
    border-right: 1px solid var(--hair-2);
}
</style>
