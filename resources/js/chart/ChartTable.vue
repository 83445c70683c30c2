<script setup lang="ts">
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue';
import type { ChartData } from '@/types/data';
import type { Window } from './scales';

/** The chart for those who do not see it: its last bars; the levels stand in the ladder. */
const props = defineProps<{ chart: ChartData; window: Window; name: string }>();

const ROWS = 30;
/** It is not seen, so it follows once the chart has come to rest: a table costs more to lay out than a picture. */
const REST = 300;
const told = shallowRef({ chart: props.chart, window: props.window });
let resting: number | undefined;
watch([() => props.chart, () => props.window], () => {
    window.clearTimeout(resting);
    resting = window.setTimeout(() => (told.value = { chart: props.chart, window: props.window }), REST);
});
onBeforeUnmount(() => window.clearTimeout(resting));

const rows = computed(() => {
    const { first, last } = told.value.window;
    const from = Math.max(first, last - ROWS + 1);
    return Array.from({ length: Math.max(0, last - from + 1) }, (_, i) => from + i);
});

function figure(value: number | undefined): string {
    return value === undefined ? '' : value.toFixed(told.value.chart.decimals);
}
</script>

<template>
    <div class="visually-hidden">
        <table>
            <caption>
                {{
                    name
                }}: the bars shown
            </caption>
            <thead>
                <tr>
                    <th>Session</th>
                    <th>Open</th>
                    <th>High</th>
                    <th>Low</th>
                    <th>Close</th>
                    <th>Volume</th>
                </tr>
            </thead>
            <tbody>
                <tr v-for="i in rows" :key="i">
                    <td>{{ told.chart.sessions[i] }}{{ told.chart.times[i] ? ` ${told.chart.times[i]}` : '' }}</td>
                    <td>{{ figure(told.chart.open[i]) }}</td>
                    <td>{{ figure(told.chart.high[i]) }}</td>
                    <td>{{ figure(told.chart.low[i]) }}</td>
                    <td>{{ figure(told.chart.close[i]) }}</td>
                    <td>{{ told.chart.volume[i] }}</td>
                </tr>
            </tbody>
        </table>
    </div>
</template>
