<script setup lang="ts">
import { computed } from 'vue';
import type { ChartData, LadderRowData, Side, TimeFrame } from '@/types/data';
import { FRAMES } from './frames';
import { lineOf, type PriceLine } from './lines';
import PriceChart from './PriceChart.vue';
import { DATE_AXIS, lastBars, priceScale } from './scales';

/** All time frames at a glance, with the same levels on each; a press shows one large. */
const props = defineProps<{
    charts: ChartData[] | undefined;
    width: number;
    shown: TimeFrame;
    rows: LadderRowData[];
    sessions: string[];
    side: Side;
    name: string;
}>();
const emit = defineEmits<{ show: [frame: TimeFrame] }>();

const HEIGHT = 84;
const GAP = 6;
const drawn = computed(() => (props.charts ?? []).filter((chart) => chart.sessions.length > 1));
const each = computed(() =>
    Math.max(90, Math.floor((props.width - GAP * Math.max(0, drawn.value.length - 1)) / Math.max(1, drawn.value.length))),
);
const small = computed(() =>
    drawn.value.map((chart) => {
        const window = lastBars(chart, 60);
        return {
            chart: { ...chart, averages: [], marks: [] },
            window,
            y: priceScale(chart, window, [], HEIGHT - DATE_AXIS, { padding: 4 }),
            lines: props.rows
                .filter((row) => row.kind === 'level' && row.curve.length === 0)
                .map((row): PriceLine => lineOf(row, props.side, chart, props.sessions)),
        };
    }),
);
</script>

<template>
    <div class="strip" role="group" aria-label="All time frames">
        <span v-if="charts === undefined" class="muted">Drawing the time frames…</span>
        <button
            v-for="one in small"
            :key="one.chart.timeFrame"
            type="button"
            :class="{ here: one.chart.timeFrame === shown }"
            :aria-label="`Chart by ${FRAMES.find((frame) => frame.value === one.chart.timeFrame)?.name}`"
            :aria-pressed="one.chart.timeFrame === shown"
            @click="emit('show', one.chart.timeFrame)"
        >
            <span>{{ FRAMES.find((frame) => frame.value === one.chart.timeFrame)?.label }}</span>
            <PriceChart
                :chart="one.chart"
                :window="one.window"
                :y="one.y"
                :width="each"
                :height="HEIGHT"
                :lines="one.lines"
                :scale="null"
                :name="name"
                bare
                silent
                small
            />
        </button>
    </div>
</template>

<style scoped>
.strip {
    display: flex;
    gap: 6px;
    height: 104px;
    overflow: hidden;
}
button {
    flex: 1;
    min-width: 0;
    padding: 0;
    border: 0;
    border-top: 2px solid var(--hair);
    background: none;
    color: var(--ink-2);
    font-size: 12px;
    line-height: 16px;
    text-align: left;
    overflow: hidden;
    cursor: pointer;
}
button.here {
    border-color: var(--ink);
    color: var(--ink);
    font-weight: 600;
}
</style>
