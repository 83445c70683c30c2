<script setup lang="ts">
import { computed } from 'vue';
import PriceChart from '@/chart/PriceChart.vue';
import { marksOf } from '@/chart/lines';
import { panesHeight } from '@/chart/panes';
import { linesOf } from '@/chart/published';
import { lastBars, near, priceScale } from '@/chart/scales';
import type { EditionPartData } from '@/types/data';

/** The chart of a part of an edition: its levels and plan prices, when it was published, and what happened since. */
const props = defineProps<{ part: EditionPartData; bars: number; width: number; height: number }>();

const view = computed(() => {
    const chart = props.part.chart;
    if (chart === null) {
        return null;
    }
    const window = lastBars(chart, props.bars);
    const lines = linesOf(props.part);
    const prices = lines.map((line) => line.value);
    return {
        chart,
        window,
        lines,
        y: priceScale(chart, window, near(chart, window, prices), props.height - 20 - panesHeight(chart)),
        marks: marksOf(props.part.setups.flatMap((setup) => setup.followed?.outcome.events ?? [])),
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
