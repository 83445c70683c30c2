import { ref, watch, type Ref } from 'vue';
import type { ChartData } from '@/types/data';
import { lastBars, type Window } from './scales';

const FEWEST_BARS = 20;
const USUAL_BARS = 110;

/** How a chart was left: so many bars, the last of them so many back. */
export interface Left {
    bars: number;
    back: number;
}

/** Which bars of a chart are in view: as it was left, or the last ones, then as zoomed and moved. */
export function useChartView(chart: Ref<ChartData>, left: Left = { bars: USUAL_BARS, back: 0 }) {
    const view = ref<Window>(placed(chart.value, left));

    watch(chart, (next, before) => {
        const { bars, back } = leaving(before);
        view.value = placed(next, next.timeFrame === before.timeFrame ? { bars, back } : { bars: USUAL_BARS, back: 0 });
    });

    function placed(of: ChartData, { bars, back }: Left): Window {
        const end = of.sessions.length - 1 - back;
        return end < FEWEST_BARS ? lastBars(of, bars) : { first: Math.max(0, end - bars + 1), last: end };
    }

    function leaving(of: ChartData = chart.value): Left {
        return { bars: view.value.last - view.value.first + 1, back: Math.max(0, of.sessions.length - 1 - view.value.last) };
    }

    /** Show more or fewer bars; the one at the pointer, or else the last, stays where it is. */
    function zoom(factor: number, at: number = view.value.last): void {
        const count = view.value.last - view.value.first + 1;
        const size = Math.max(
            Math.min(FEWEST_BARS, chart.value.sessions.length),
            Math.min(chart.value.sessions.length, Math.round(count * factor)),
        );
        const share = count <= 1 ? 1 : (at - view.value.first) / (count - 1);
        move(Math.round(at - share * (size - 1)), size);
    }

    function pan(bars: number): void {
        move(view.value.first + bars, view.value.last - view.value.first + 1);
    }

    /** All bars there are. */
    function all(): void {
        view.value = { first: 0, last: Math.max(0, chart.value.sessions.length - 1) };
    }

    /** The last bars again. */
    function newest(): void {
        view.value = lastBars(chart.value, USUAL_BARS);
    }

    function move(first: number, size: number): void {
        const from = Math.max(0, Math.min(chart.value.sessions.length - size, first));
        view.value = { first: from, last: Math.max(0, from + size - 1) };
    }

    /** As it was left, on another chart. */
    function reset(to: Left): void {
        view.value = placed(chart.value, to);
    }

    return { view, zoom, pan, all, newest, leaving, reset };
}
