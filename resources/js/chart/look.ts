import { computed, ref, type Ref } from 'vue';
import { useKeptView } from '@/lib/kept-view';
import type { ChartData, ChartViewData, LevelLayer, TimeFrame } from '@/types/data';
import type { Left } from './view';

/** How the chart is looked at: opened as the author left it for this instrument, and kept as it is left again. */
export function useLook(given: Ref<ChartViewData>, candidateId: Ref<number>, chart: Ref<ChartData>, leaving: () => Left) {
    const layers = ref<LevelLayer[]>([]);
    const clean = ref(false);
    const log = ref(false);
    const held = ref<[number, number] | null>(null);
    const strip = ref(false);
    const snaps = ref(true);
    const beside = ref<TimeFrame | null>(null);
    open();

    const { keep, begin } = useKeptView(
        candidateId,
        computed<ChartViewData>(() => ({
            frame: chart.value.timeFrame,
            larger: beside.value,
            ...leaving(),
            layers: layers.value,
            clean: clean.value,
            log: log.value,
            low: held.value?.[0] ?? null,
            high: held.value?.[1] ?? null,
            strip: strip.value,
            snaps: snaps.value,
        })),
    );

    function open(): void {
        const view = given.value;
        layers.value = [...view.layers];
        clean.value = view.clean;
        log.value = view.log;
        held.value = view.low === null || view.high === null ? null : [view.low, view.high];
        strip.value = view.strip;
        snaps.value = view.snaps;
        beside.value = view.larger;
    }

    /** Another candidate stands there: it opens as it was left. */
    function reopen(): void {
        open();
        begin();
    }

    return { layers, clean, log, held, strip, snaps, beside, keep, reopen };
}
