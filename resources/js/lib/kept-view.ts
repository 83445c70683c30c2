import { onBeforeUnmount, watch, type Ref } from 'vue';
import type { ChartViewData } from '@/types/data';
import { send } from './http';

/** How long the view must rest before it is kept. */
const REST = 700;

/**
 * Keeps how the chart of a candidate is left, so that it opens that way again.
 *
 * @returns what keeps it at once, before another candidate takes its place
 */
export function useKeptView(
    candidateId: Ref<number>,
    view: Ref<ChartViewData>,
): { keep: () => Promise<void>; begin: () => void } {
    let resting: number | undefined;
    let kept = JSON.stringify(view.value);

    async function keep(): Promise<void> {
        window.clearTimeout(resting);
        const now = JSON.stringify(view.value);
        if (now !== kept) {
            kept = now;
            // what cannot be kept is no loss of work: the chart opens as it did before
            await send('PATCH', `/plan/mark/${candidateId.value}/view`, view.value).catch(() => {});
        }
    }

    /** Another candidate stands there as it was left: nothing to keep yet. */
    function begin(): void {
        window.clearTimeout(resting);
        kept = JSON.stringify(view.value);
    }

    watch(view, () => {
        window.clearTimeout(resting);
        resting = window.setTimeout(() => void keep(), REST);
    });
    onBeforeUnmount(() => void keep());

    return { keep, begin };
}
