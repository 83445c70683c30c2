import { ref, watch, type Ref } from 'vue';
import type { ChartData } from '@/types/data';
import { lastBars, type Window } from './scales';

const FEWEST_BARS = 20;
const USUAL_BARS = 110;

/** Which bars of a chart are in view: the last ones to begin with, then as zoomed and moved. */
export function useChartView(chart: Ref<ChartData>) {
    const view = ref<Window>(lastBars(chart.value, USUAL_BARS));

    watch(chart, (next, before) => {
        const count = view.value.last - view.value.first + 1;
        view.value = lastBars(next, next.timeFrame === before.timeFrame ? count : USUAL_BARS);
    });

    function zoom(factor: number): void {
        const count = Math.round((view.value.last - view.value.first + 1) * factor);
        const size = Math.max(FEWEST_BARS, Math.min(chart.value.sessions.length, count));
        view.value = { first: Math.max(0, view.value.last - size + 1), last: view.value.last };
    }

    function pan(bars: number): void {
        const size = view.value.last - view.value.first;
        const last = Math.max(size, Math.min(chart.value.sessions.length - 1, view.value.last + bars));
        view.value = { first: last - size, last };
    }

    return { view, zoom, pan };
}
