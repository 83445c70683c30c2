<script setup lang="ts">
import { computed } from 'vue';
import PriceChart from '@/chart/PriceChart.vue';
import { marksOf } from '@/chart/lines';
import { panesHeight } from '@/chart/panes';
import { linesOf } from '@/chart/published';
import { lastBars, near, priceScale } from '@/chart/scales';
import type { EditionPartData } from '@/types/data';

/** The chart of a part of an edition: its levels and plan prices, when it was published, and what happened since. */
const props = withDefaults(
    defineProps<{ part: EditionPartData; bars: number; width: number; height: number; since?: boolean }>(),
    { since: true },
);

/** As it was known when it was published. */
const until = (last: number) => ({ first: Math.max(0, last - props.bars + 1), last });

const view = computed(() => {
    const chart = props.part.chart;
    if (chart === null) {
        return null;
    }
    const window = props.since || chart.publishedAfter === null ? lastBars(chart, props.bars) : until(chart.publishedAfter);
    const lines = linesOf(props.part);
    const prices = lines.map((line) => line.value);
    return {
        chart,
        window,
        lines,
        y: priceScale(chart, window, near(chart, window, prices), props.height - 20 - panesHeight(chart)),
        marks: marksOf(props.since ? props.part.setups.flatMap((setup) => setup.followed?.outcome.events ?? []) : []),
    };
});
</script>

<template>
    <PriceChart
        v-if="view"
        :chart="view.chart"
        :window="view.window"
        :y="view.y"
        :width="width"
        :height="height"
        :lines="view.lines"
        :scale="null"
        :name="`${part.symbol} ${part.name}`"
        :marks="view.marks"
        tags
    />
</template>
