<script setup lang="ts">
import { computed } from 'vue';
import type { ChartData } from '@/types/data';
import { FRAMES } from './frames';
import type { Live } from './live';
import type { Window } from './scales';

/** All values of the bar at the pointer, or of the last one in view, in one line. */
const props = defineProps<{ chart: ChartData; window: Window; live: Live }>();

const longer = computed(() => ['1w', '1mo', '3mo'].includes(props.chart.timeFrame));
const frameName = computed(() => FRAMES.find((frame) => frame.value === props.chart.timeFrame)?.name ?? '');
const hasVolume = computed(() => props.chart.volume.some((volume) => volume > 0));
const outside = computed(() => new Set(props.chart.extended));
const index = computed(() => Math.min(props.live.hover.value?.index ?? props.window.last, props.chart.sessions.length - 1));
const reading = computed(() => {
    const i = index.value;
    const c = props.chart;
    const close = c.close[i] ?? 0;
    const before = c.close[i - 1];
    return {
        date: new Date(`${c.sessions[i]}T12:00:00Z`).toLocaleDateString('en-GB', {
            weekday: 'short',
            day: 'numeric',
            month: 'short',
            year: 'numeric',
            timeZone: 'UTC',
        }),
        time: c.times[i] ?? null,
        open: figure(c.open[i]),
        high: figure(c.high[i]),
        low: figure(c.low[i]),
        close: figure(close),
        change: before === undefined || before === 0 ? null : (close / before - 1) * 100,
        volume: (c.volume[i] ?? 0).toLocaleString('en-GB'),
        averages: c.averages.map((one) => ({ name: one.name, value: figure(one.values[i] ?? undefined) })),
        unfinished: c.unfinished && i === c.sessions.length - 1,
        outside: outside.value.has(i),
        marks: c.marks.filter((mark) => mark.index === i).map((mark) => mark.label),
    };
});

function figure(value: number | undefined): string {
    return value === undefined ? '' : value.toFixed(props.chart.decimals);
}
</script>

<template>
    <p class="reading">
        <strong>{{ longer ? `${frameName} from ` : '' }}{{ reading.date }}{{ reading.time ? `, ${reading.time}` : '' }}</strong>
        <span v-if="reading.unfinished" class="look">under way</span>
        <span v-if="reading.outside">outside the session</span>
        <span>O {{ reading.open }}</span>
        <span>H {{ reading.high }}</span>
        <span>L {{ reading.low }}</span>
        <span>C {{ reading.close }}</span>
        <span v-if="reading.change !== null"
            >{{ reading.change >= 0 ? '+' : '−' }}{{ Math.abs(reading.change).toFixed(2) }} %</span
        >
        <span v-if="hasVolume">volume {{ reading.volume }}</span>
        <span v-for="one in reading.averages" :key="one.name">{{ one.name }} {{ one.value || '–' }}</span>
        <strong v-for="mark in reading.marks" :key="mark">{{ mark }}</strong>
    </p>
</template>

<style scoped>
.reading {
    display: flex;
    flex-wrap: nowrap;
    gap: 10px;
    height: 18px;
    overflow: hidden;
    white-space: nowrap;
    font-size: 12px;
    line-height: 18px;
    color: var(--ink-2);
}
.reading strong {
    color: var(--ink);
}
</style>
